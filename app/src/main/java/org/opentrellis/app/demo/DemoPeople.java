package org.opentrellis.app.demo;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.SplittableRandom;
import java.util.StringJoiner;
import org.opentrellis.app.people.Orders;
import org.opentrellis.core.journey.ProductName;

/**
 * The invented people of Ambercomb, the same for the same seed: newcomers who asked for the
 * planner, members, those on a course, and those who have gone quiet; and what they have bought.
 */
final class DemoPeople {
  private static final List<String> FIRST =
      List.of(
          "Mira", "Oskar", "Ines", "Tove", "Bram", "Lena", "Pia", "Jonas", "Sanne", "Nils", "Ruth",
          "Emil", "Frida", "Kaja", "Aron", "Signe", "Matteo", "Clara", "Hugo", "Vera", "Iben",
          "Lars", "Nora", "Tomas", "Elin", "Paul", "Greta", "Milan", "Olga", "Anton");
  private static final List<String> LAST_BEGIN =
      List.of(
          "Aster", "Birk", "Dal", "Eng", "Fjell", "Gran", "Holm", "Isen", "Kal", "Lind", "Mar",
          "Nor", "Oster", "Rund", "Sand", "Tor", "Vester", "Wald", "Ytter", "Zand");
  private static final List<String> LAST_END =
      List.of(
          "berg", "by", "dorp", "feld", "gren", "holt", "hus", "kvist", "land", "mark", "nes",
          "rud", "stad", "vik", "wick");
  private static final List<String> ZONES =
      List.of(
          "Europe/Berlin",
          "Europe/Berlin",
          "Europe/Berlin",
          "Europe/Oslo",
          "Europe/Oslo",
          "Europe/London",
          "Europe/Madrid",
          "America/New_York");
  private static final List<String> DOMAINS = List.of("example.com", "example.org", "bees.test");

  private static final List<String> SMALL_THINGS = List.of("Smoker", "Feeder");
  private static final int MONTHS_OF_ORDERS = 18;

  private final SplittableRandom random;
  private final Instant now;
  private final LocalDate today;
  private final Map<String, Long> prices;
  private final StringBuilder table = new StringBuilder();
  private final List<Orders.Line> orders = new ArrayList<>();

  /**
   * @param prices in cents, by product
   */
  DemoPeople(int people, long seed, Instant now, Map<String, Long> prices) {
    this.random = new SplittableRandom(seed);
    this.now = now;
    this.today = LocalDate.ofInstant(now, ZoneOffset.UTC);
    this.prices = prices;
    table.append(
        "email,first name,last name,time zone,email state,lists,tags,hives,keeper since,member until,challenges\n");
    for (int n = 0; n < people; n++) {
      table.append(row(n)).append('\n');
    }
  }

  /** As CSV; its columns are named as an import knows them. */
  String table() {
    return table.toString();
  }

  /** Person by person, as they come: what lies together in the database is written together. */
  List<Orders.Line> orders() {
    return orders;
  }

  private String row(int n) {
    String first = pick(FIRST);
    String last = pick(LAST_BEGIN) + pick(LAST_END);
    boolean named = random.nextDouble() < 0.93;
    List<String> lists = new ArrayList<>();
    List<String> tags = new ArrayList<>();
    boolean member = random.nextDouble() < 0.34;
    boolean newcomer = !member && random.nextDouble() < 0.62;
    if (newcomer) {
      lists.add("Newcomers");
      tags.add("new-keeper");
    }
    if (member) {
      lists.add("Members");
    }
    often(0.12, lists, "Challenge");
    often(0.09, lists, "Course places");
    often(member || newcomer ? 0.04 : 0.55, lists, "Quiet");
    often(0.03, lists, "Trade");
    often(0.16, tags, "season-reader");
    often(0.08, tags, "season-course");
    often(member ? 0 : 0.07, tags, "lapsed");
    often(0.11, tags, "market");
    StringJoiner cells = new StringJoiner(",");
    String address = address(first, last, n);
    buy(address, member);
    cells.add(address);
    cells.add(named ? first : "");
    cells.add(named ? last : "");
    cells.add(pick(ZONES));
    cells.add(state());
    cells.add(String.join("; ", lists));
    cells.add(String.join("; ", tags));
    cells.add(random.nextDouble() < 0.7 ? Integer.toString(random.nextInt(member ? 9 : 3)) : "");
    cells.add(member ? today.minusDays(200 + random.nextInt(4_000)).toString() : "");
    cells.add(member ? today.plusDays(random.nextInt(365) - 20L).toString() : "");
    cells.add(lists.contains("Challenge") ? Integer.toString(random.nextInt(4)) : "");
    return cells.toString();
  }

  private void buy(String address, boolean member) {
    if (random.nextDouble() < (member ? 0.5 : 0.16)) {
      order(address, "Hive kit");
    }
    for (int more = random.nextInt(member ? 4 : 2); more > 0; more--) {
      order(address, pick(SMALL_THINGS));
    }
    if (member) {
      order(address, "Membership");
    }
  }

  private void order(String address, String product) {
    long ago = random.nextLong(Duration.ofDays(MONTHS_OF_ORDERS * 30L).toSeconds());
    long cents = Objects.requireNonNull(prices.get(product));
    orders.add(
        new Orders.Line(address, now.getEpochSecond() - ago, new ProductName(product), cents));
  }

  private static String address(String first, String last, int n) {
    String name = first.toLowerCase(Locale.ROOT) + "." + last.toLowerCase(Locale.ROOT);
    return name + n + "@" + DOMAINS.get(n % DOMAINS.size());
  }

  /** Most may be mailed; some have left, or never confirmed. */
  private String state() {
    double lot = random.nextDouble();
    return lot < 0.06
        ? "unsubscribed"
        : lot < 0.085 ? "bounced" : lot < 0.087 ? "complained" : lot < 0.12 ? "not confirmed" : "";
  }

  private void often(double share, List<String> into, String name) {
    if (random.nextDouble() < share) {
      into.add(name);
    }
  }

  private String pick(List<String> some) {
    return some.get(random.nextInt(some.size()));
  }
}
