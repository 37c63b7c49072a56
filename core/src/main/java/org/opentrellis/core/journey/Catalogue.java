package org.opentrellis.core.journey;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.opentrellis.core.problem.Refused;

/**
 * What journeys refer to: messages, strands and segments.
 *
 * @param messages no two of one id
 * @param strands no two of one id
 * @param segments no two of one name
 */
public record Catalogue(List<Message> messages, List<Strand> strands, List<Segment> segments) {
  public static final Catalogue EMPTY = of(List.of());

  public Catalogue {
    messages = List.copyOf(messages);
    strands = List.copyOf(strands);
    segments = List.copyOf(segments);
    unique(messages.stream().map(Message::id).toList());
    unique(strands.stream().map(Strand::id).toList());
    unique(segments.stream().map(Segment::name).toList());
  }

  public static Catalogue of(List<Message> messages) {
    return new Catalogue(messages, List.of(), List.of());
  }

  public Optional<Message> message(MessageId id) {
    return messages.stream().filter(message -> message.id().equals(id)).findFirst();
  }

  public Optional<Strand> strand(StrandId id) {
    return strands.stream().filter(strand -> strand.id().equals(id)).findFirst();
  }

  public Optional<Segment> segment(SegmentName name) {
    return segments.stream().filter(segment -> segment.name().equals(name)).findFirst();
  }

  private static void unique(List<? extends Name> names) {
    Map<String, Name> seen = new HashMap<>();
    for (Name name : names) {
      if (seen.put(name.value(), name) != null) {
        throw new Refused("\u201c" + name.value() + "\u201d is there twice");
      }
    }
  }
}
