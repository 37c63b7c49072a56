package org.opentrellis.core.journey;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.opentrellis.core.problem.Refused;

/**
 * What journeys refer to: messages, strands and segments.
 *
 * @param messages no two of one id
 * @param strands no two of one id
 * @param segments no two of one name
 * @param pressure how much mail is enough for one person, if that is said
 */
public record Catalogue(
    List<Message> messages,
    List<Strand> strands,
    List<Segment> segments,
    Optional<Pressure> pressure) {
  public static final Catalogue EMPTY = of(List.of());

  public Catalogue {
    messages = List.copyOf(messages);
    strands = List.copyOf(strands);
    segments = List.copyOf(segments);
    unique(messages.stream().map(Message::id).toList());
    unique(strands.stream().map(Strand::id).toList());
    unique(segments.stream().map(Segment::name).toList());
  }

  /** One by which nothing is too much. */
  public Catalogue(List<Message> messages, List<Strand> strands, List<Segment> segments) {
    this(messages, strands, segments, Optional.empty());
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

  /** A name, and all strands and segments that come to use it. */
  public List<Name> usersOf(Name name) {
    Set<Name> found = new HashSet<>(Set.of(name));
    boolean more = true;
    while (more) {
      List<Name> users = new ArrayList<>();
      strands.stream().filter(one -> uses(one, found)).map(Strand::id).forEach(users::add);
      segments.stream().filter(one -> uses(one, found)).map(Segment::name).forEach(users::add);
      more = found.addAll(users);
    }
    return List.copyOf(found);
  }

  private static boolean uses(Object part, Set<Name> names) {
    return NamesIn.of(part).anyMatch(names::contains);
  }

  /** The same with a strand in the place of the one of its id, or beside the others. */
  public Catalogue with(Strand strand) {
    List<Strand> all = new ArrayList<>(strands);
    all.removeIf(one -> one.id().equals(strand.id()));
    all.add(strand);
    return new Catalogue(messages, all, segments, pressure);
  }

  /** The same with another pressure, or with none. */
  public Catalogue under(Optional<Pressure> other) {
    return new Catalogue(messages, strands, segments, other);
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
