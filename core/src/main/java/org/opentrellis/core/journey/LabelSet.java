package org.opentrellis.core.journey;

import java.util.Collection;
import java.util.Collections;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Some tags and lists. */
public record LabelSet(Set<TagName> tags, Set<ListName> lists) {
  public LabelSet {
    tags = Set.copyOf(tags);
    lists = Set.copyOf(lists);
  }

  /** The tags and lists among some names. */
  public static LabelSet of(Stream<Name> names) {
    Set<Name> all = names.collect(Collectors.toSet());
    return new LabelSet(only(TagName.class, all), only(ListName.class, all));
  }

  private static <T> Set<T> only(Class<T> kind, Collection<Name> all) {
    return all.stream().filter(kind::isInstance).map(kind::cast).collect(Collectors.toSet());
  }

  public Stream<Name> names() {
    return Stream.concat(tags.stream(), lists.stream());
  }

  /** Whether the other has none of these. */
  public boolean isApartFrom(LabelSet other) {
    return Collections.disjoint(tags, other.tags) && Collections.disjoint(lists, other.lists);
  }
}
