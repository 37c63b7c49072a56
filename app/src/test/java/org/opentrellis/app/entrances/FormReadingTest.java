package org.opentrellis.app.entrances;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.opentrellis.app.names.RegisteredNames;
import org.opentrellis.core.entrance.Asked;
import org.opentrellis.core.entrance.Entrance;
import org.opentrellis.core.entrance.Then;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.FormName;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.problem.Refused;

/** What is typed into a form is looked through, and what nobody asked for is left. */
class FormReadingTest {
  private static final Entrance ENTRANCE =
      new Entrance(
          new FormName("Planner"),
          "The planner",
          List.of(
              new Asked.FirstName(true),
              new Asked.LastName(false),
              new Asked.Phone(false),
              new Asked.Texts("You may send me texts."),
              new Asked.Field(new FieldName("hives"), "", false)),
          "Send it",
          "",
          false,
          List.of(),
          List.of(),
          new Then.Words("Thanks."),
          Optional.empty(),
          Optional.empty(),
          Optional.empty());

  private final RegisteredNames names = mock(RegisteredNames.class);
  private final Map<String, String> typed =
      new HashMap<>(Map.of("address", " Ida@Example.com ", "first-name", "Ida"));

  @BeforeEach
  void hivesAreNumbers() {
    when(names.read(any(), any()))
        .thenAnswer(
            call -> {
              String value = call.getArgument(1);
              if (!value.matches("\\d+")) {
                throw new Refused("it holds numbers");
              }
              return Optional.of(new Operand.Number(Double.parseDouble(value)));
            });
  }

  private Map<String, String> problems() {
    FormReading reading = new FormReading(names, typed);
    reading.read(ENTRANCE);
    return reading.problems();
  }

  private Filled filled() {
    FormReading reading = new FormReading(names, typed);
    Filled filled = reading.read(ENTRANCE);
    assertThat(reading.problems()).isEmpty();
    return filled;
  }

  @Test
  void whatIsAskedIsRead() {
    typed.putAll(Map.of("phone", "+49 30 901820", "texts", "yes", "field-hives", " 3 "));
    assertThat(filled())
        .isEqualTo(
            new Filled("Ida@Example.com", "Ida", null, "+4930901820", true, Map.of("hives", "3")));
  }

  @Test
  void whatNobodyAskedIsLeft() {
    typed.putAll(Map.of("field-member", "gold", "mailing", "MAY_BE_MAILED", "last-name", " "));
    assertThat(filled())
        .isEqualTo(new Filled("Ida@Example.com", "Ida", null, null, false, Map.of()));
  }

  @Test
  void allThatIsWrongIsSaidAtOnce() {
    typed.clear();
    typed.putAll(Map.of("address", "ida at example", "phone", "12", "field-hives", "many"));
    assertThat(problems()).containsOnlyKeys("address", "first-name", "phone", "field-hives");
  }

  @Test
  void nobodyIsInWithoutAnAddress() {
    typed.remove("address");
    assertThat(problems()).containsEntry("address", "Please give your email address.");
  }

  @Test
  void textsNeedANumber() {
    typed.put("texts", "yes");
    assertThat(problems()).containsOnlyKeys("phone");
  }

  /** They would break lists, mails and tables. */
  @Test
  void charactersThatNobodySeesAndBooksAreRefused() {
    typed.put("first-name", "Ida\u0000");
    typed.put("last-name", "x".repeat(101));
    typed.put("field-hives", "3".repeat(501));
    assertThat(problems()).containsOnlyKeys("first-name", "last-name", "field-hives");
  }
}
