package org.opentrellis.core.intake;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.opentrellis.core.people.FieldType;

/** Columns are known by name and content; what can be read in two ways is asked about. */
class ColumnGuessTest {
  private static ColumnGuess guess(String head, String cells) {
    return ColumnGuess.of(head, Arrays.asList(cells.split("~")), Map.of("hives", FieldType.NUMBER));
  }

  @ParameterizedTest
  @CsvSource({
    "E-mail, x, ADDRESS",
    "Email Address, x, ADDRESS",
    "Contact, a@example.com~b@example.com, ADDRESS",
    "First Name, x, FIRST_NAME",
    "surname, x, LAST_NAME",
    "NAME, x, WHOLE_NAME",
    "Mobile, x, PHONE",
    "Time zone, x, ZONE",
    "Status, x, MAILING",
    "Tags, x, TAGS",
    "'', x, LEFT_OUT",
    "town, x, FIELD",
  })
  void whatAColumnIs(String head, String cells, Use use) {
    assertThat(guess(head, cells).plan().use()).isEqualTo(use);
  }

  @ParameterizedTest
  @CsvSource({
    "born, 2001-05-02~1999-12-31, DATE",
    "apiaries, 12~3~-4, NUMBER",
    "price, '1.234,50~2,5', NUMBER",
    "post code, 0150~0151, TEXT",
    "ring me, +4721234567, TEXT",
    "keeper, yes~no~Y, YES_NO",
    "town, Oslo~12, TEXT",
    "empty, '', TEXT",
  })
  void whatAFieldHolds(String head, String cells, FieldType type) {
    assertThat(guess(head, cells).plan().type()).isEqualTo(type);
  }

  /** RFC 3339 writes the year first; days and months stand either way, by country. */
  @ParameterizedTest
  @CsvSource({
    "2027-04-03, YEAR_FIRST",
    "2027/04/03, YEAR_FIRST",
    "13/04/2027~03/04/2027, DAY_FIRST",
    "04/13/2027~03/04/2027, MONTH_FIRST",
    "03.04.2027~05.06.2027, ",
    "03.03.2027, DAY_FIRST",
    "31.12.2027, DAY_FIRST",
  })
  void theOrderOfDatesIsFoundOrAsked(String cells, DateOrder order) {
    ColumnGuess guess = guess("since", cells);
    assertThat(guess.plan().type()).isEqualTo(FieldType.DATE);
    assertThat(guess.plan().dates()).isEqualTo(order);
    assertThat(guess.asks() == null).isEqualTo(order != null);
  }

  @ParameterizedTest
  @CsvSource({
    "'1.5~2', POINT",
    "'1,5~2', COMMA",
    "'1.234~2', ",
    "'1,234', ",
    "'1.234~2,5', COMMA",
    "'1,234,567.5', POINT",
    "'1 234,5', COMMA",
    "12~13, POINT",
  })
  void theDecimalMarkIsFoundOrAsked(String cells, DecimalMark mark) {
    ColumnGuess guess = guess("weight", cells);
    assertThat(guess.plan().decimal()).isEqualTo(mark);
    assertThat(guess.asks() == null).isEqualTo(mark != null);
  }

  @ParameterizedTest
  @CsvSource({"many, DATE", "many, NUMBER", "03/04/2027, DATE"})
  void aFieldOfAnotherTypeIsAskedAbout(String cell, FieldType type) {
    assertThat(ColumnGuess.asField("x", type, List.of(cell)).asks()).isNotNull();
  }

  @ParameterizedTest
  @CsvSource({"DATE", "NUMBER"})
  void aboutAColumnWithNothingInItNothingIsAsked(FieldType type) {
    assertThat(ColumnGuess.asField("x", type, List.of()).asks()).isNull();
    assertThat(ColumnGuess.asField("x", type, List.of("", " ")).asks()).isNull();
  }
}
