package org.opentrellis.core.testing;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SplittableRandom;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.journey.AttributeName;
import org.opentrellis.core.journey.CategoryName;
import org.opentrellis.core.journey.EventName;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.journey.Product;
import org.opentrellis.core.journey.ProductName;
import org.opentrellis.core.journey.TagName;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.PersonState;

/** People with what the conditions of {@link RandomJourneys} ask about, and something besides. */
public final class RandomPeople {
  /** The present of all of them: a Sunday evening in Berlin, Monday on Lord Howe Island. */
  public static final long NOW = Instant.parse("2027-03-28T20:30:00Z").getEpochSecond();

  public static final List<Product> PRODUCTS =
      List.of(
          new Product(new ProductName("Hive kit"), new CategoryName("Hives")),
          new Product(new ProductName("Feeder"), new CategoryName("Hives")),
          new Product(new ProductName("Jar of honey"), new CategoryName("Pantry")));

  private static final List<String> LABELS = List.of("red", "blue", "green", "unheard-of");
  private static final List<ZoneId> ZONES =
      List.of(
          ZoneId.of("Europe/Berlin"),
          ZoneId.of("America/New_York"),
          ZoneId.of("Australia/Lord_Howe"),
          ZoneId.of("Pacific/Kiritimati"));

  private final SplittableRandom random;

  private RandomPeople(long seed) {
    this.random = new SplittableRandom(seed);
  }

  public static PersonState person(long seed) {
    return new RandomPeople(seed).person();
  }

  /** The same person with other fields. */
  public static PersonState with(PersonState person, Map<FieldName, Operand> fields) {
    return new PersonState(
        person.zone(),
        person.now(),
        person.labels(),
        person.hadLabels(),
        fields,
        person.agreesToTexts(),
        person.purchases(),
        person.events(),
        person.carts(),
        person.hadMessages(),
        person.sentAt(),
        person.mostInAWeek(),
        person.messagesAt(),
        person.erasedAt(),
        person.unsubscribedAt(),
        person.complainedAt(),
        person.bouncedAt(),
        person.backAt(),
        person.cartChangedAt(),
        person.inSegments(),
        person.coming(),
        person.entries(),
        person.visits());
  }

  /** Clocks that are quick around the present. */
  public static ZoneClock clock(ZoneId zone) {
    return ZoneClock.around(zone, Instant.ofEpochSecond(NOW - 60L * ZoneClock.DAY), 120);
  }

  private PersonState person() {
    Set<Name> had = new HashSet<>();
    Set<Name> has = new HashSet<>();
    for (String label : LABELS) {
      for (Name name : List.<Name>of(new TagName(label), new ListName(label))) {
        int state = random.nextInt(4);
        if (state < 2) {
          had.add(name);
        }
        if (state == 0) {
          has.add(name);
        }
      }
    }
    List<PersonState.CartLine> carts = carts();
    return new PersonState(
        ZONES.get(random.nextInt(ZONES.size())),
        NOW,
        has,
        had,
        fields(),
        true,
        purchases(carts),
        events(),
        carts,
        Set.of(),
        List.of(),
        0,
        List.of(),
        Person.NEVER,
        Person.NEVER,
        Person.NEVER,
        Person.NEVER,
        Person.NEVER,
        carts.isEmpty() ? Long.MIN_VALUE : carts.getLast().at(),
        Map.of(),
        List.of(),
        Map.of(),
        List.of());
  }

  private Map<FieldName, Operand> fields() {
    Map<FieldName, Operand> fields = new HashMap<>();
    LocalDate today = LocalDate.of(2027, 3, 28);
    sometimes(() -> new Operand.Date(today.plusDays(random.nextInt(-15, 80))), fields, "renewal");
    sometimes(() -> new Operand.Number(random.nextInt(6) / 2.0), fields, "hives");
    sometimes(() -> new Operand.Number(random.nextInt(4)), fields, "frames");
    List<String> towns = List.of("Linden", "lindwurm", "LIN", "Berl-In", "\u0130lin");
    sometimes(() -> new Operand.Words(towns.get(random.nextInt(towns.size()))), fields, "town");
    return fields;
  }

  private void sometimes(
      java.util.function.Supplier<Operand> value, Map<FieldName, Operand> fields, String name) {
    if (random.nextInt(4) > 0) {
      fields.put(new FieldName(name), value.get());
    }
  }

  private List<PersonState.Purchase> purchases(List<PersonState.CartLine> carts) {
    List<PersonState.Purchase> all = new ArrayList<>();
    for (int n = random.nextInt(4); n > 0; n--) {
      all.add(new PersonState.Purchase(moment(), product(), random.nextInt(9_000)));
    }
    if (!carts.isEmpty() && random.nextInt(4) == 0) {
      all.add(new PersonState.Purchase(carts.getLast().at(), product(), 500));
    }
    all.sort(Comparator.comparingLong(PersonState.Purchase::at));
    return all;
  }

  private Optional<ProductName> product() {
    int n = random.nextInt(PRODUCTS.size() + 1);
    return n == PRODUCTS.size() ? Optional.empty() : Optional.of(PRODUCTS.get(n).name());
  }

  private List<PersonState.CartLine> carts() {
    List<PersonState.CartLine> all = new ArrayList<>();
    for (int change = random.nextInt(3); change > 0; change--) {
      long at = moment();
      boolean emptied = random.nextInt(4) == 0;
      int lines = emptied ? 1 : 1 + random.nextInt(2);
      long cents = random.nextInt(9_000);
      for (int line = 0; line < lines; line++) {
        all.add(
            new PersonState.CartLine(
                at, emptied, emptied ? Optional.empty() : product(), emptied ? 0 : cents));
      }
    }
    all.sort(Comparator.comparingLong(PersonState.CartLine::at));
    return all;
  }

  private List<PersonState.Event> events() {
    List<PersonState.Event> all = new ArrayList<>();
    for (int n = random.nextInt(5); n > 0; n--) {
      Map<AttributeName, Operand> says = new HashMap<>();
      if (random.nextBoolean()) {
        says.put(new AttributeName("hall"), new Operand.Words(random.nextBoolean() ? "A" : "b"));
      }
      if (random.nextBoolean()) {
        says.put(new AttributeName("seats"), new Operand.Number(random.nextInt(4)));
      }
      all.add(
          new PersonState.Event(
              moment(), new EventName(random.nextInt(5) == 0 ? "other" : "visit"), says));
    }
    all.sort(Comparator.comparingLong(PersonState.Event::at));
    return all;
  }

  /**
   * Most of them recent; some to the second so long ago as an amount says, over a change of clocks.
   */
  private long moment() {
    long[] before = {
      90 * 60, 3_600, 20 * 3_600, ZoneClock.DAY, 2 * ZoneClock.DAY, 6 * ZoneClock.DAY
    };
    return random.nextInt(3) == 0
        ? NOW - before[random.nextInt(before.length)] + random.nextInt(-1, 2)
        : NOW - random.nextLong(9L * ZoneClock.DAY) - 1;
  }
}
