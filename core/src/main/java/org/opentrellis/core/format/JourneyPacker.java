package org.opentrellis.core.format;

import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.NamesIn;
import org.opentrellis.core.journey.SegmentName;
import org.opentrellis.core.journey.StrandId;
import org.opentrellis.core.message.Manuscript;

/** Packs a journey with all that it names into a file. */
public final class JourneyPacker {
  private final Catalogue catalogue;
  private final Set<Name> named = new HashSet<>();

  private JourneyPacker(Catalogue catalogue) {
    this.catalogue = catalogue;
  }

  /**
   * The journey with those parts of a catalogue that it names, or that one of these names. What is
   * named and is not there stays out.
   *
   * @param manuscripts of the messages, as far as they are written out
   */
  public static JourneyFile pack(
      Journey journey,
      Catalogue catalogue,
      Function<MessageId, Optional<Manuscript>> manuscripts,
      Behaviour behaviour) {
    JourneyPacker packer = new JourneyPacker(catalogue);
    packer.look(journey);
    List<Message> messages =
        catalogue.messages().stream()
            .filter(message -> packer.named.contains(message.id()))
            .toList();
    Map<MessageId, Manuscript> written = new LinkedHashMap<>();
    messages.forEach(
        message ->
            manuscripts.apply(message.id()).ifPresent(one -> written.put(message.id(), one)));
    return new JourneyFile(
        JourneyFile.VERSION,
        journey,
        messages,
        written,
        catalogue.strands().stream().filter(strand -> packer.named.contains(strand.id())).toList(),
        catalogue.segments().stream()
            .filter(segment -> packer.named.contains(segment.name()))
            .toList(),
        Optional.of(behaviour));
  }

  private void look(Record part) {
    NamesIn.of(part).filter(named::add).toList().forEach(this::lookInto);
  }

  private void lookInto(Name name) {
    switch (name) {
      case StrandId strand -> catalogue.strand(strand).ifPresent(this::look);
      case SegmentName segment -> catalogue.segment(segment).ifPresent(this::look);
      default -> {}
    }
  }
}
