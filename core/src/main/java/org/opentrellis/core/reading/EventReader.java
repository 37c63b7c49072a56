package org.opentrellis.core.reading;

import java.util.ArrayList;
import java.util.List;
import org.opentrellis.core.journey.Attribute;
import org.opentrellis.core.journey.AttributeName;
import org.opentrellis.core.journey.EventName;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.journey.Operator;

/** Reads which event: "course booked with level equal to “beginner” with seats at least 2". */
final class EventReader {
  private final Cursor cursor;
  private final Scope scope;
  private final ComparisonReader comparisons;

  EventReader(Cursor cursor, Scope scope) {
    this.cursor = cursor;
    this.scope = scope;
    this.comparisons = new ComparisonReader(cursor, scope);
  }

  record Which(EventName event, List<Attribute> where) {}

  /**
   * @param followers what may follow it
   */
  Which read(String... followers) {
    int from = cursor.at();
    String name = cursor.name("event", scope.names(EventName.class), followers);
    EventName event = cursor.meaning(from, () -> new EventName(name));
    List<Attribute> where = new ArrayList<>();
    while (cursor.word("with")) {
      where.add(attribute());
    }
    return new Which(event, where);
  }

  private Attribute attribute() {
    int from = cursor.at();
    String name =
        cursor.name("attribute", scope.names(AttributeName.class), ComparisonReader.BEGINNINGS);
    Operator is = comparisons.operator();
    List<Operand> values = comparisons.values(is);
    return cursor.meaning(from, () -> new Attribute(new AttributeName(name), is, values));
  }
}
