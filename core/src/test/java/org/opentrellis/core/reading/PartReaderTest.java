package org.opentrellis.core.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.PartId;
import org.opentrellis.core.message.Part;
import org.opentrellis.core.sentence.PartWords;
import org.opentrellis.core.testing.RandomLetters;

class PartReaderTest {
  private static final LocalDate TODAY = LocalDate.of(2026, 11, 20);
  private static final PartReader READER =
      new PartReader(
          Catalogue.EMPTY,
          KnownNames.of(
              Map.of(
                  "ListName", List.of("Members", "Trade"),
                  "ProductName", List.of("Hive kit", "Smoker"),
                  "FieldName", List.of("hives", "member until", "plot"))),
          List.of(),
          List.of("hive-planner.pdf", "hives in clover.jpg"),
          TODAY);

  private static PartReading read(String text) {
    return READER.read(text, text.length(), new PartId("p1"));
  }

  /** What is said of it is read as the same again. */
  private static String said(String text) {
    PartReading.Result result = read(text).result();
    if (result instanceof PartReading.Unclear unclear) {
      return "? " + unclear.refused().why();
    }
    PartReading.Made made = (PartReading.Made) result;
    assertThat(read(made.says()).result()).as(made.says()).isEqualTo(made);
    return made.says();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "button Open the planner to file hive-planner.pdf | button “Open the planner” to file “hive-planner.pdf”",
        "button Book now to ambercomb.example/courses | button “Book now” to https://ambercomb.example/courses",
        "button Back to your hives to their cart counted as Cart | button “Back to your hives” to their cart counted as “Cart”",
        "button Open | button “Open”",
        "button For {first name, or you} to https://ambercomb.example | button “For {first name, or you}” to https://ambercomb.example",
        "two columns | two columns",
        "three columns | three columns",
        "passage if on list Members | passage if they are on list “Members”",
        "passage if they are on list Members and bought Hive kit | passage if they are on list “Members” and bought “Hive kit”",
        "rule | rule",
        "space | space 24 px",
        "space 40 px | space 40 px",
        "products from the cart | products from the cart at most 3",
        "products Hive kit, Smoker at most 2 | products “Hive kit”, “Smoker” at most 2",
        "products they bought | products bought at most 3",
        "voucher SPRING 15% until 30 Nov | voucher “SPRING” “15%” until 2026-11-30",
        "voucher SPRING 15% off | voucher “SPRING” “15%”",
        "news at most 4 | news at most 4",
        "countdown to 30 Nov 18:00 | countdown to 2026-11-30 18:00",
        "picture hives in clover.jpg words Three pale hives | picture “hives in clover.jpg” words “Three pale hives”",
        "picture hives.png 50% wide to https://ambercomb.example | picture “hives.png” 50% wide to https://ambercomb.example",
        "film hives.png words A walk to https://ambercomb.example/film | film “hives.png” words “A walk” to https://ambercomb.example/film",
        "links Shop to https://ambercomb.example/shop, Choices to their choices | links “Shop” to https://ambercomb.example/shop, “Choices” to their choices",
        "html <p>Own</p> | html <p>Own</p>",
        "Hello {first name, or there}, here it is. | Hello {first name, or there}, here it is.",
        "Until {member until as day and month, or soon} | Until {member until as day and month, or soon}",
        "# In spring | # In spring",
        "- Weigh before you feed | - Weigh before you feed",
        "Look **once**, not *twice* | Look **once**, not *twice*",
        "News from the hives, and more | News from the hives, and more",
        "Space is what they need | Space is what they need",
      })
  void typedPartsAreUnderstood(String typed, String understood) {
    assertThat(said(typed)).isEqualTo(understood);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "button Open to file | ? Here stands the name of a file, such as hive-planner.pdf.",
        "button | ? Here stands what stands on the button.",
        "Hello {fist name, or you} | ? Nothing of a person is called “fist name”. Did you mean “first name”?",
        "space 1000 | ? A space in pixels must be 4 to 200, not 1000.",
        "products Hive kits | ? No product is called “Hive kits”. There is “Hive kit”, “Smoker”.",
        "voucher SPRING 15% until soon | ? Here stands a day, such as 30 November or 2027-03-14.",
        "passage if opened any email | ? ",
        "rule two | ? “two” is not understood here.",
      })
  void whatIsWrongIsTold(String typed, String why) {
    assertThat(said(typed)).startsWith(why);
  }

  @Test
  void whatCanFollowIsOffered() {
    assertThat(read("but").completions()).extracting(Completion::text).contains("button");
    assertThat(read("button Open to file hi").completions())
        .extracting(Completion::text)
        .contains("hive-planner.pdf");
    assertThat(read("passage if on list Me").completions())
        .extracting(Completion::text)
        .contains("\u201cMembers\u201d");
  }

  /** A part is changed by typing on what is said of it, so that has to mean the same part. */
  @ParameterizedTest
  @MethodSource("seeds")
  void whatIsSaidOfAnyPartIsReadAsThatPart(long seed) {
    RandomLetters.email(seed)
        .allParts()
        .filter(part -> !(part instanceof Part.Prose))
        .forEach(
            part -> {
              String says = new PartWords(Catalogue.EMPTY).say(part);
              PartReading read = READER.read(says, says.length(), part.id());
              assertThat(read.result()).as(says).isInstanceOf(PartReading.Made.class);
              Part again = ((PartReading.Made) read.result()).part();
              assertThat(new PartWords(Catalogue.EMPTY).say(again)).isEqualTo(says);
            });
  }

  static LongStream seeds() {
    return LongStream.range(0, 400);
  }
}
