package org.opentrellis.core.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Sentences as practitioners say them, and those that have to be asked about. */
class CorpusTest {
  private static final String ARROW = " => ";

  /**
   * @param place where it is typed
   * @param heard what it comes to, in a line
   */
  record Said(String place, String text, String heard) {
    @Override
    public String toString() {
      return place + ": " + text;
    }
  }

  static List<Said> said() {
    return table("said.txt");
  }

  static List<Said> asked() {
    return table("asked.txt");
  }

  private static List<Said> table(String name) {
    List<Said> all = new ArrayList<>();
    String place = "";
    for (String line : lines(name)) {
      int arrow = line.indexOf(ARROW);
      if (line.startsWith("# ")) {
        place = line.substring(2);
      } else if (arrow > 0) {
        String text = line.substring(0, arrow);
        all.add(new Said(place, text, line.substring(arrow + ARROW.length())));
      }
    }
    return all;
  }

  private static List<String> lines(String name) {
    try {
      Path folder = Path.of("src/test/resources/org/opentrellis/core/reading");
      return Files.readAllLines(folder.resolve(name));
    } catch (IOException failure) {
      throw new UncheckedIOException(failure);
    }
  }

  @ParameterizedTest
  @MethodSource("said")
  void isReadAsItIsMeant(Said one) {
    assertThat(Talk.heard(one.place, one.text)).isEqualTo(one.heard);
  }

  @ParameterizedTest
  @MethodSource("asked")
  void isAskedAboutAtItsPlace(Said one) {
    assertThat(Talk.heard(one.place, one.text)).isEqualTo(one.heard);
    Reading.Refused refused = (Reading.Refused) Talk.read(one.place, one.text);
    assertThat(refused.why())
        .matches("(?s)[\\p{Lu}\\d\u201c].*[.?]")
        .doesNotContainPattern("\\b[Aa] [aeiou]")
        .doesNotContain("It could be");
    assertThat(refused.from()).isBetween(0, one.text.length());
    assertThat(refused.to()).isBetween(refused.from(), one.text.length());
  }

  /** What is offered leads on: it is understood, or only something later in it is not. */
  @ParameterizedTest
  @MethodSource("asked")
  void whatIsOfferedLeadsOn(Said one) {
    Reading.Refused refused = (Reading.Refused) Talk.read(one.place, one.text);
    for (Suggestion offer : refused.offers()) {
      if (Talk.read(one.place, offer.text()) instanceof Reading.Refused next) {
        assertThat(next.why()).as(offer.text()).isNotEqualTo(refused.why());
      }
    }
  }

  /** The measure: so many ways of speaking, and so many that nobody guesses at. */
  @Test
  void thereAreEnoughOfThem() {
    assertThat(said()).hasSizeGreaterThanOrEqualTo(300).doesNotHaveDuplicates();
    assertThat(asked()).hasSizeGreaterThanOrEqualTo(200).doesNotHaveDuplicates();
  }

  /** Commas may be left out and full stops put, letters be large or small, spaces be many. */
  @ParameterizedTest
  @MethodSource("said")
  void howItIsWrittenDoesNotMatter(Said one) {
    String heard = Talk.heard(one.place, one.text);
    if (!one.text.contains("\u201c")) {
      assertThat(Talk.heard(one.place, "  " + one.text.replace(" ", "   ") + " ")).isEqualTo(heard);
      String broken = one.text.replaceFirst(" (?=\\S+$)", "\n");
      if (!Layout.plain(broken).contains("\n")) {
        assertThat(Talk.heard(one.place, broken)).as("over two lines").isEqualTo(heard);
      }
    }
    assertThat(Talk.heard(one.place, one.text + "\n")).isEqualTo(heard);
    String first = one.text.substring(0, 1).toUpperCase(java.util.Locale.ROOT);
    assertThat(Talk.heard(one.place, first + one.text.substring(1))).isEqualTo(heard);
  }

  /** Every beginning of every sentence is answered: while it is typed, nothing breaks. */
  @ParameterizedTest
  @MethodSource("said")
  void everyBeginningIsAnswered(Said one) {
    Stream.iterate(1, n -> n <= one.text.length(), n -> n + 3)
        .map(n -> one.text.substring(0, n))
        .forEach(begun -> assertThat(Talk.heard(one.place, begun)).isNotNull());
  }
}
