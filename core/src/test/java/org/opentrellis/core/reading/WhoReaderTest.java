package org.opentrellis.core.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Purpose;
import org.opentrellis.core.sentence.Phrase;
import org.opentrellis.core.sentence.Sentences;
import org.opentrellis.core.testing.RandomJourneys;

/** Sentences that say which people are meant. */
class WhoReaderTest {
  private static final WhoReader READER =
      new WhoReader(
          RandomJourneys.CATALOGUE,
          KnownNames.of(
              java.util.Map.of(
                  "ListName", List.of("Newcomers", "Members"),
                  "TagName", List.of("market", "new-keeper"),
                  "FieldName", List.of("hives", "member until"),
                  "SegmentName", List.of("Keen"),
                  "ProductName", List.of("Hive kit"),
                  "CategoryName", List.of("Hives"),
                  "EventName", List.of("course booked"))),
          List.of("First frames"),
          LocalDate.of(2026, 11, 29));

  private static WhoReading read(String text) {
    return READER.read(text, text.length());
  }

  private static WhoReading.Meant meant(String text) {
    WhoReading.Result result = read(text).result();
    assertThat(result).as("%s: %s", text, result).isInstanceOf(WhoReading.Meant.class);
    return (WhoReading.Meant) result;
  }

  private static String said(Phrase phrase) {
    StringBuilder said = new StringBuilder();
    phrase.spans().forEach(span -> said.append(span.text()));
    return said.toString();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          is on list Newcomers                            | are on list Newcomers
          on list Newcomers and not on list Members       | are on list Newcomers and are not on list Members
          everybody who is on list Newcomers              | are on list Newcomers
          people who have tag market                      | have tag market
          tagged market and did not buy anything          | have tag market and have not bought anything
          bought something from Hives in the last 30 days | bought something from Hives in the last 30 days
          who bought Hive kit but have no tag new-keeper  | bought Hive kit and have no tag new-keeper
          hives is at least 2                             | have field hives at least 2
          have field hives empty                          | have field hives empty
          member until is less than 30 days from today    | have field member until less than 30 days from today
          in segment Keen or on list Members              | are in segment Keen or are on list Members
          had event course booked at least 2 times        | had event course booked at least 2 times
          neither on list Members nor tagged market       | neither are on list Members nor have tag market
          everybody                                       | everyone
          """)
  void areReadAsPractitionersSayThem(String typed, String meaning) {
    assertThat(said(meant(typed).sentence())).isEqualTo(meaning);
  }

  static Stream<String> examplesOfTheDocs() throws IOException {
    String docs = Files.readString(Path.of("../docs/people.md"));
    return docs.split("```")[1].lines().filter(line -> !line.isBlank());
  }

  @ParameterizedTest
  @MethodSource("examplesOfTheDocs")
  void theExamplesOfTheDocsAreRead(String example) {
    WhoReading.Meant meant = meant(example);
    assertThat(meant.news()).as("names that the reader of the docs would have").isEmpty();
  }

  @Test
  void nothingSaidIsEverybody() {
    assertThat(meant("").who()).isEqualTo(new Condition.All(List.of()));
    assertThat(meant("  ").who()).isEqualTo(new Condition.All(List.of()));
  }

  /** Whatever is said of people in a journey finds them by the same words. */
  @Test
  void whatIsPrintedIsReadBackAsItWas() {
    Sentences typed =
        new Sentences(Journey.empty("Nowhere", Purpose.OTHER), RandomJourneys.CATALOGUE).typed();
    for (long seed = 0; seed < 2_000; seed++) {
      Condition who = RandomJourneys.aboutPeople(seed);
      String text = said(typed.condition(who));
      WhoReading.Meant back = meant(text);
      assertThat(said(typed.condition(back.who()))).as(text).isEqualTo(text);
    }
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "opened any email of this journey",
        "came by form Planner",
        "on list Members and clicked the last email",
        "came from journey First frames",
        "are on list Newcomers and opened any email within 30 days and did not buy anything",
        "have not opened any email and have tag market"
      })
  void whatBelongsToAJourneyIsRefusedAndSaysSo(String text) {
    assertThat(read(text).result())
        .isInstanceOfSatisfying(
            WhoReading.Unclear.class,
            unclear ->
                assertThat(unclear.refused().why()).contains("is a question about one journey"));
  }

  @Test
  void whatBelongsToAJourneyIsToldAtItsPlace() {
    String text = "are on list Newcomers and opened any email and have tag market";
    WhoReading.Unclear unclear = (WhoReading.Unclear) read(text).result();
    assertThat(text.substring(unclear.refused().from(), unclear.refused().to()))
        .isEqualTo("opened any email");
    assertThat(unclear.refused().why()).startsWith("\u201copened any email\u201d is a question");
  }

  @Test
  void whatIsWrongIsToldAtItsPlace() {
    WhoReading.Unclear unclear =
        (WhoReading.Unclear) read("are on list Newcomers and flubbed it").result();
    assertThat(unclear.refused().from()).isEqualTo(26);
    assertThat(unclear.refused().asks()).isFalse();
  }

  @Test
  void namesThatNothingUsesAreTold() {
    assertThat(meant("have tag “never-heard-of”").news())
        .containsExactly("tag \u201cnever-heard-of\u201d");
    assertThat(meant("have tag market").news()).isEmpty();
  }

  @Test
  void knownNamesAreOfferedWhereTheyCanStand() {
    assertThat(read("are on list ").completions())
        .extracting(Completion::text)
        .anyMatch(text -> text.contains("Newcomers"))
        .anyMatch(text -> text.contains("Members"));
    assertThat(READER.read("are on list  and have tag market", 12).completions())
        .extracting(Completion::text)
        .anyMatch(text -> text.contains("Newcomers"));
  }

  /**
   * "Is" and "has" are begun as well as "are" and "have"; what belongs to a journey is not offered.
   */
  @ParameterizedTest
  @CsvSource({
    "is on li, are on list",
    "are on li, are on list",
    "has ta, have tag",
    "bought anything and is in seg, are in segment"
  })
  void whatIsBegunIsOffered(String begun, String offered) {
    assertThat(read(begun).completions()).extracting(Completion::text).contains(offered);
  }

  @Test
  void whatBelongsToAJourneyIsNotOffered() {
    assertThat(read("").completions())
        .extracting(Completion::text)
        .contains("are on list", "have tag", "bought anything")
        .doesNotHaveDuplicates()
        .noneMatch(text -> text.startsWith("opened") || text.startsWith("clicked"));
    WhoReading.Unclear unclear = (WhoReading.Unclear) read("flub").result();
    assertThat(unclear.refused().why()).contains("Say who they are").doesNotContain("send");
    WhoReading.Unclear second = (WhoReading.Unclear) read("bought anything and flub").result();
    assertThat(second.refused().why()).contains("are on list").doesNotContain("opened");
  }
}
