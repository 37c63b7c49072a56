package org.opentrellis.core.news;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.groups.Tuple.tuple;
import static org.opentrellis.core.testing.Steps.BERLIN;

import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.opentrellis.core.account.QuietHours;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.NameExchange;
import org.opentrellis.core.newsletter.Newsletter;
import org.opentrellis.core.newsletter.NewsletterChecks;
import org.opentrellis.core.newsletter.NewsletterFinding;
import org.opentrellis.core.newsletter.Readers;
import org.opentrellis.core.problem.Refused;
import org.opentrellis.core.testing.RandomJourneys;

/** When issues go, what is in them, and what keeps them from going. */
class NewsTest {
  private static final LocalTime NINE = LocalTime.of(9, 0);
  private static final LocalDateTime NOW = LocalDateTime.of(2027, 3, 4, 12, 0);
  private static final Instant SINCE = Instant.parse("2027-03-01T00:00:00Z");

  private static NewsSeries series(Rhythm rhythm) {
    return new NewsSeries(
        Newsletter.begun("The week at the hive")
            .sending(new MessageId("m1"))
            .to(new Readers.Those(new Condition.OnList(new ListName("Members")))),
        NewsSeries.SITE,
        rhythm);
  }

  /** 4 March 2027 is a Thursday; 2028 is a leap year. Looked up in a calendar. */
  @ParameterizedTest
  @CsvSource({
    "daily, 2027-03-04T08:59, 2027-03-04T09:00",
    "daily, 2027-03-04T09:00, 2027-03-05T09:00",
    "daily, 2027-12-31T10:00, 2028-01-01T09:00",
    "THURSDAY, 2027-03-04T08:59, 2027-03-04T09:00",
    "THURSDAY, 2027-03-04T09:00, 2027-03-11T09:00",
    "WEDNESDAY, 2027-03-04T12:00, 2027-03-10T09:00",
    "1, 2027-03-04T12:00, 2027-04-01T09:00",
    "4, 2027-03-04T08:00, 2027-03-04T09:00",
    "31, 2027-03-31T09:00, 2027-04-30T09:00",
    "31, 2027-01-31T09:00, 2027-02-28T09:00",
    "31, 2028-01-31T09:00, 2028-02-29T09:00",
    "30, 2027-02-28T09:00, 2027-03-30T09:00",
  })
  void theNextMomentIsTheFirstThatIsStillToCome(
      String rhythm, LocalDateTime moment, LocalDateTime next) {
    assertThat(rhythm(rhythm).after(moment)).isEqualTo(next);
  }

  private static Rhythm rhythm(String says) {
    if (says.equals("daily")) {
      return new Rhythm.Daily(NINE);
    }
    return Character.isDigit(says.charAt(0))
        ? new Rhythm.Monthly(Integer.parseInt(says), NINE)
        : new Rhythm.Weekly(DayOfWeek.valueOf(says), NINE);
  }

  static Stream<Rhythm> rhythms() {
    Random random = new Random(20);
    return Stream.concat(
        Stream.of(
            new Rhythm.Daily(LocalTime.MIDNIGHT),
            new Rhythm.Monthly(31, LocalTime.MAX.withSecond(0).withNano(0))),
        IntStream.range(0, 60)
            .mapToObj(
                n -> {
                  LocalTime at = LocalTime.of(random.nextInt(24), random.nextInt(60));
                  return switch (n % 3) {
                    case 0 -> new Rhythm.Daily(at);
                    case 1 -> new Rhythm.Weekly(DayOfWeek.of(1 + random.nextInt(7)), at);
                    default -> new Rhythm.Monthly(1 + random.nextInt(31), at);
                  };
                }));
  }

  @ParameterizedTest
  @MethodSource("rhythms")
  void noMomentIsLeftOutOrComesTwice(Rhythm rhythm) {
    Random random = new Random(7);
    for (int n = 0; n < 200; n++) {
      LocalDateTime moment =
          LocalDateTime.of(2027, 1, 1, 0, 0).plusMinutes(random.nextInt(3 * 366 * 1440));
      LocalDateTime next = rhythm.after(moment);
      LocalDateTime before = rhythm.before(next);
      assertThat(next).isAfter(moment);
      assertThat(before).as("the one before is at or before the moment").isBeforeOrEqualTo(moment);
      assertThat(rhythm.after(before)).as("nothing between them").isEqualTo(next);
    }
  }

  @Test
  void rhythmsAreToTheMinuteAndMonthsHaveThirtyOneDaysAtMost() {
    assertThatThrownBy(() -> new Rhythm.Daily(LocalTime.of(9, 0, 1)))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("to the minute");
    assertThatThrownBy(() -> new Rhythm.Monthly(32, NINE)).isInstanceOf(Refused.class);
    assertThatThrownBy(() -> new Rhythm.Monthly(0, NINE)).isInstanceOf(Refused.class);
  }

  @Test
  void itIsReadAloud() {
    assertThat(
            NewsSheet.of(
                series(new Rhythm.Weekly(DayOfWeek.THURSDAY, NINE)),
                MessageId::value,
                RandomJourneys.CATALOGUE,
                BERLIN))
        .containsExactly(
            "Sends \u201cm1\u201d to those who are on list Members.",
            "Goes out every Thursday at 09:00 in Europe/Berlin with what is new on the site, the"
                + " newest first. If nothing is new, nothing goes out.");
    assertThat(new Rhythm.Daily(NINE).words()).isEqualTo("every day at 09:00");
    assertThat(new Rhythm.Monthly(1, NINE).words()).isEqualTo("on the 1st of every month at 09:00");
    assertThat(new Rhythm.Monthly(31, NINE).words())
        .isEqualTo("on the 31st of every month (or its last day) at 09:00");
  }

  private static NewsItem item(String id, String posted) {
    return new NewsItem(
        id,
        "About " + id,
        "",
        "",
        posted.isEmpty() ? Optional.empty() : Optional.of(Instant.parse(posted)));
  }

  @Test
  void anIssueHoldsWhatIsNewTheNewestFirst() {
    List<NewsItem> there =
        List.of(
            item("old", "2027-02-28T23:59:59Z"),
            item("second", "2027-03-01T00:00:00Z"),
            item("undated", ""),
            item("first", "2027-03-03T00:00:00Z"),
            item("had", "2027-03-03T00:00:00Z"),
            item("first", "2027-03-03T00:00:00Z"));
    IssueContent content = IssueContent.of(there, Set.of("had"), SINCE, 2);
    assertThat(content.shown()).extracting(NewsItem::id).containsExactly("undated", "first");
    assertThat(content.leftOut()).extracting(NewsItem::id).containsExactly("second");
    assertThat(
            IssueContent.of(there, Set.of("had", "first", "second", "undated"), SINCE, 2).isEmpty())
        .isTrue();
  }

  @Test
  void whateverIsPostedStandsInOneIssueOrIsLeftOutOfOne() {
    Random random = new Random(3);
    for (int round = 0; round < 100; round++) {
      List<NewsItem> there = new ArrayList<>();
      Set<String> taken = new HashSet<>();
      List<String> told = new ArrayList<>();
      Instant now = SINCE;
      for (int issue = 0; issue < 6; issue++) {
        for (int n = random.nextInt(5); n > 0; n--) {
          now = now.plusSeconds(random.nextInt(3600));
          there.add(random.nextInt(there.size() + 1), item("n" + there.size(), now.toString()));
        }
        IssueContent content = IssueContent.of(there, taken, SINCE, 1 + random.nextInt(3));
        Stream.concat(content.shown().stream(), content.leftOut().stream())
            .map(NewsItem::id)
            .forEach(
                id -> {
                  told.add(id);
                  taken.add(id);
                });
      }
      assertThat(told)
          .containsExactlyInAnyOrderElementsOf(there.stream().map(NewsItem::id).toList());
    }
  }

  @Test
  void whatKeepsItFromGoingIsSaidAtItsPlace() {
    NewsSeries begun =
        new NewsSeries(
            Newsletter.begun("News").sending(new MessageId("m1")),
            "ftp://x",
            new Rhythm.Daily(NINE));
    assertThat(NewsChecks.of(begun, 0, AROUND))
        .extracting(NewsletterFinding::code, NewsletterFinding::place)
        .contains(
            tuple("no-people", "/letter/who"),
            tuple("no-news-part", "/letter/message"),
            tuple("no-address", "/source"))
        .doesNotContain(tuple("no-time", "/letter/going"));
    assertThat(NewsChecks.of(new NewsSeries(begun.letter(), " ", begun.rhythm()), 1, AROUND))
        .extracting(NewsletterFinding::code)
        .contains("no-source")
        .doesNotContain("no-news-part");
    assertThat(NewsChecks.of(series(new Rhythm.Daily(NINE)), 3, AROUND)).isEmpty();
    assertThat(NewsChecks.of(series(new Rhythm.Daily(LocalTime.of(23, 0))), 3, AROUND))
        .extracting(NewsletterFinding::code)
        .containsExactly("quiet");
  }

  @Test
  void itIsKeptAsItIsAndFollowsARenamedList() {
    for (Rhythm rhythm : rhythms().toList()) {
      NewsSeries kept = series(rhythm);
      assertThat(Documents.readNewsSeries(Documents.write(kept))).isEqualTo(kept);
    }
    NewsSeries renamed =
        new NameExchange(new ListName("Members"), new ListName("Friends"))
            .in(series(new Rhythm.Daily(NINE)));
    assertThat(renamed.letter().who())
        .contains(new Readers.Those(new Condition.OnList(new ListName("Friends"))));
  }

  private static final NewsletterChecks.Surroundings AROUND =
      new NewsletterChecks.Surroundings() {
        @Override
        public LocalDateTime now() {
          return NOW;
        }

        @Override
        public Optional<QuietHours> quietHours() {
          return Optional.of(new QuietHours(LocalTime.of(21, 0), LocalTime.of(8, 0)));
        }

        @Override
        public String subject(MessageId message) {
          return "The week";
        }

        @Override
        public List<String> faults(MessageId message) {
          return List.of();
        }

        @Override
        public boolean isJourney(JourneyName name) {
          return true;
        }

        @Override
        public long people() {
          return 10;
        }

        @Override
        public Optional<Long> usually() {
          return Optional.empty();
        }
      };
}
