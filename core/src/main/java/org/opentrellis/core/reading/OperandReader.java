package org.opentrellis.core.reading;

import java.time.LocalDate;
import java.util.Collection;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.Operand;

/** Reads the value of a field: words in quotation marks, a number, a date, "3 days ago". */
final class OperandReader {
  private final Cursor cursor;
  private final TimeReader times;
  private final Collection<String> fields;

  /**
   * @param fields those that are known
   */
  OperandReader(Cursor cursor, Collection<String> fields) {
    this.cursor = cursor;
    this.times = new TimeReader(cursor);
    this.fields = fields;
  }

  Operand read() {
    int from = cursor.at();
    cursor.could("3");
    if (cursor.word("today")) {
      return new Operand.Today(0);
    }
    if (cursor.word("field")) {
      int named = cursor.at();
      String field = cursor.name("field", fields, "and", "or", "nor");
      return cursor.meaning(named, () -> new Operand.OtherField(new FieldName(field)));
    }
    LocalDate date = times.date();
    if (date != null) {
      return new Operand.Date(date);
    }
    Integer days = times.whole();
    if (days != null && (cursor.silently("days") || cursor.silently("day"))) {
      boolean ago = cursor.any("ago");
      if (!ago) {
        cursor.require("from today");
      }
      return cursor.meaning(from, () -> new Operand.Today(ago ? -days : days));
    }
    cursor.back(from);
    Double number = times.number();
    if (number != null) {
      return cursor.meaning(from, () -> new Operand.Number(number));
    }
    String words = cursor.quoted("a value");
    return cursor.meaning(from, () -> new Operand.Words(words));
  }
}
