package org.opentrellis.core.format;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Segment;
import org.opentrellis.core.journey.Strand;
import org.opentrellis.core.message.Manuscript;
import org.opentrellis.core.message.SeenByJourneys;
import org.opentrellis.core.problem.Refused;

/**
 * A journey with everything it needs to be run elsewhere.
 *
 * @param version of the format; {@value #VERSION}
 * @param messages those that it sends or names, as journeys see them
 * @param manuscripts of those that are written out; what journeys see of them follows from these
 * @param strands those that it includes
 * @param segments those that it asks about
 * @param behaviour what is assumed of people; empty for typical values
 */
public record JourneyFile(
    int version,
    Journey journey,
    List<Message> messages,
    Map<MessageId, Manuscript> manuscripts,
    List<Strand> strands,
    List<Segment> segments,
    Optional<Behaviour> behaviour) {
  public static final int VERSION = 5;

  public JourneyFile {
    if (version != VERSION) {
      throw new Refused(
          "this file is of version %d of the format, and only versions 2 to %d can be read"
              .formatted(version, VERSION));
    }
    manuscripts = Map.copyOf(manuscripts);
    messages = seen(messages, manuscripts);
    strands = List.copyOf(strands);
    segments = List.copyOf(segments);
  }

  private static List<Message> seen(
      List<Message> messages, Map<MessageId, Manuscript> manuscripts) {
    for (MessageId id : manuscripts.keySet()) {
      if (messages.stream().noneMatch(one -> one.id().equals(id))) {
        throw new Refused("there is a manuscript for \u201c" + id + "\u201d, and no such message");
      }
    }
    return messages.stream()
        .map(
            one ->
                manuscripts.containsKey(one.id())
                    ? SeenByJourneys.of(one.id(), one.name(), manuscripts.get(one.id()))
                    : one)
        .toList();
  }

  /** The same file with another journey, and people who react otherwise. */
  public JourneyFile with(Journey other, Behaviour people) {
    return new JourneyFile(
        version, other, messages, manuscripts, strands, segments, Optional.of(people));
  }

  public Catalogue catalogue() {
    return new Catalogue(messages, strands, segments);
  }

  /** What all of some files refer to; where two say different things, the first counts. */
  public static Catalogue catalogueOf(List<JourneyFile> files) {
    return new Catalogue(
        first(files, JourneyFile::messages, one -> one.id()),
        first(files, JourneyFile::strands, one -> one.id()),
        first(files, JourneyFile::segments, one -> one.name()));
  }

  private static <T, K> List<T> first(
      List<JourneyFile> files, Function<JourneyFile, List<T>> what, Function<T, K> name) {
    Map<K, T> all = new LinkedHashMap<>();
    files.forEach(file -> what.apply(file).forEach(one -> all.putIfAbsent(name.apply(one), one)));
    return List.copyOf(all.values());
  }
}
