package org.opentrellis.core.journey;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.testing.RandomJourneys;

/** A name is exchanged everywhere, and back again. */
class NameExchangeTest {
  private static final int JOURNEYS = 1_000;
  private static final Set<Class<? extends Name>> REGISTERED =
      Set.of(
          TagName.class,
          ListName.class,
          FieldName.class,
          ProductName.class,
          CategoryName.class,
          FormName.class,
          EventName.class);

  /** Rename, and rename back: the same document; in between the old name stands nowhere. */
  @Test
  void thereAndBackIsTheSameJourney() {
    Random random = new Random(16);
    int exchanged = 0;
    for (int n = 0; n < JOURNEYS; n++) {
      Journey journey = RandomJourneys.journey(n, 12);
      List<Name> names =
          NamesIn.of(journey)
              .distinct()
              .filter(one -> REGISTERED.contains(one.getClass()))
              .toList();
      if (names.isEmpty()) {
        continue;
      }
      Name before = names.get(random.nextInt(names.size()));
      Name after = fresh(before);
      Journey renamed = new NameExchange(before, after).in(journey);
      assertThat(NamesIn.of(renamed)).doesNotContain(before).contains(after);
      assertThat(new NameExchange(after, before).in(renamed)).isEqualTo(journey);
      exchanged++;
    }
    assertThat(exchanged).isGreaterThan(JOURNEYS / 2);
  }

  private static Name fresh(Name before) {
    String name = before.value() + " of another name";
    return switch (before) {
      case TagName tag -> new TagName(name);
      case ListName list -> new ListName(name);
      case FieldName field -> new FieldName(name);
      case ProductName product -> new ProductName(name);
      case CategoryName category -> new CategoryName(name);
      case FormName form -> new FormName(name);
      case EventName event -> new EventName(name);
      default -> throw new IllegalArgumentException("has no register: " + before);
    };
  }

  /** Two tags of one journey become one: there still is such a journey, and it is kept and read. */
  @Test
  void anyTwoTagsOfAJourneyCanBecomeOne() {
    int merged = 0;
    for (int n = 0; n < JOURNEYS; n++) {
      Journey journey = RandomJourneys.journey(n, 12);
      List<TagName> tags =
          NamesIn.of(journey)
              .distinct()
              .filter(TagName.class::isInstance)
              .map(TagName.class::cast)
              .toList();
      for (TagName before : tags.subList(0, Math.max(0, tags.size() - 1))) {
        Journey one = new NameExchange(before, tags.getLast()).in(journey);
        assertThat(NamesIn.of(one)).as("journey %d", n).doesNotContain(before);
        assertThat(Documents.readJourney(Documents.write(one), RandomJourneys.CATALOGUE))
            .isEqualTo(one);
        merged++;
      }
    }
    assertThat(merged).isGreaterThan(JOURNEYS / 4);
  }

  @Test
  void whatDoesNotHoldItStaysTheSameObject() {
    Journey journey = RandomJourneys.journey(3, 12);
    assertThat(new NameExchange(new TagName("nowhere"), new TagName("anywhere")).in(journey))
        .isSameAs(journey);
  }
}
