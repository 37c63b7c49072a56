package org.opentrellis.core.reading;

import java.time.LocalDate;
import java.util.List;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.Operand;

/** Reads the value of a field: words in quotation marks, a number, a date, "3 days ago". */
final class OperandReader {
  private final Cursor cursor;
  private final Scope scope;

  OperandReader(Cursor cursor, Scope scope) {
    this.cursor = cursor;
    this.scope = scope;
  }

  Operand read() {
    int from = cursor.at();
    cursor.could("3");
    if (cursor.word("today")) {
      return new Operand.Today(0);
    }
    if (cursor.word("field")) {
      int named = cursor.at();
      String field = cursor.name("field", scope.names(FieldName.class), "and", "or", "nor");
      return cursor.meaning(named, () -> new Operand.OtherField(new FieldName(field)));
    }
    LocalDate date = scope.dates(cursor).date();
    if (date != null) {
      return new Operand.Date(date);
    }
    NumberReader numbers = new NumberReader(cursor);
    Integer days = numbers.whole();
    if (days != null && (cursor.silently("days") || cursor.silently("day"))) {
      boolean ago = cursor.any("ago");
      if (!ago) {
        cursor.require("from today");
      }
      return cursor.meaning(from, () -> new Operand.Today(ago ? -days : days));
    }
    cursor.back(from);
    Double number = numbers.number();
    if (number != null) {
      return cursor.meaning(from, () -> new Operand.Number(number));
    }
    String words =
        cursor.atQuote() || cursor.atPause()
            ? cursor.quoted("a value")
            : cursor.name("value", List.of(), ConditionReader.FOLLOWERS);
    return cursor.meaning(from, () -> new Operand.Words(words));
  }
}
