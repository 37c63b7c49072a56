package org.opentrellis.core.format;

import java.util.List;
import java.util.Optional;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.Segment;
import org.opentrellis.core.journey.Strand;
import org.opentrellis.core.problem.Refused;

/**
 * A journey with everything it needs to be run elsewhere.
 *
 * @param version of the format; {@value #VERSION}
 * @param messages those that it sends or names
 * @param strands those that it includes
 * @param segments those that it asks about
 * @param behaviour what is assumed of people; empty for typical values
 */
public record JourneyFile(
    int version,
    Journey journey,
    List<Message> messages,
    List<Strand> strands,
    List<Segment> segments,
    Optional<Behaviour> behaviour) {
  public static final int VERSION = 4;

  public JourneyFile {
    if (version != VERSION) {
      throw new Refused(
          "this file is of version %d of the format, and only versions 2 to %d can be read"
              .formatted(version, VERSION));
    }
    messages = List.copyOf(messages);
    strands = List.copyOf(strands);
    segments = List.copyOf(segments);
  }

  public Catalogue catalogue() {
    return new Catalogue(messages, strands, segments);
  }
}
