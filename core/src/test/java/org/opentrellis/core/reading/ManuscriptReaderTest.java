package org.opentrellis.core.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.PartId;
import org.opentrellis.core.message.Manuscript;
import org.opentrellis.core.message.Part;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.sentence.ManuscriptText;

class ManuscriptReaderTest {
  private static final PartReader PARTS =
      new PartReader(
          Catalogue.EMPTY,
          KnownNames.of(Map.of("ListName", List.of("Members"))),
          List.of(),
          List.of(),
          LocalDate.of(2026, 11, 20));

  private static final String LETTER =
      """
      Subject: Your planner, {first name, or keeper}
      Preview text: Twelve months on two pages
      picture “hives.png” words “Three pale hives”
      Hello {first name, or there}, here it is.
      - Print it
      - Hang it up
      > Two things to do are enough.

      Another text, with\\
      a line break.
      passage if they are on list “Members”
        You get the frame plans, too.
      otherwise
        Members get the frame plans.
      two columns
      column
        ## In spring
        Look for the queen.
      column
        ## In autumn
        Weigh before you feed.
      button “Open the planner” to file “hive-planner.pdf”
      > One button, so that there is one thing to do.
      """;

  @Test
  void aWrittenLetterIsReadAndPrintedAsItWas() {
    ManuscriptReader.Read read = ManuscriptReader.read(LETTER, PARTS);
    String printed = String.join("\n", ManuscriptText.of(read.email(), Catalogue.EMPTY)) + "\n";
    assertThat(printed).isEqualTo(LETTER.replaceAll("(?m)^ *> .*\n", ""));
    assertThat(read.email().parts()).hasSize(6);
    PartId button = read.email().parts().getLast().id();
    assertThat(read.reasons())
        .hasSize(2)
        .containsEntry(button, "One button, so that there is one thing to do.");
  }

  @Test
  void linesOfTextAreOnePartUpToAnEmptyOne() {
    Manuscript.Email email = ManuscriptReader.read("One.\nTwo.\n\nThree.\n", PARTS).email();
    assertThat(email.parts())
        .extracting(part -> ((Part.Prose) part).blocks().size())
        .containsExactly(2, 1);
  }

  @Test
  void everyLineThatIsNotUnderstoodIsTold() {
    ProblemsFound found =
        catchThrowableOfType(
            ProblemsFound.class,
            () ->
                ManuscriptReader.read(
                    "Subject: {nam, or you}\nbutton\nFine.\ntwo columns\n    too deep\n", PARTS));
    assertThat(found.problems())
        .extracting(one -> one.place())
        .containsExactly("/line/1", "/line/2", "/line/4", "/line/5");
  }
}
