package org.opentrellis.app.intake;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import org.opentrellis.app.people.Forgotten;
import org.opentrellis.core.intake.Incoming;
import org.opentrellis.core.intake.RowReader;
import org.opentrellis.core.intake.TableForm;
import org.opentrellis.core.intake.TablePlan;
import org.opentrellis.core.intake.TableRow;
import org.opentrellis.core.intake.TableRows;

/** Reads a table piece by piece: people that can be brought in, and rows that cannot. */
final class TableReading implements AutoCloseable {
  static final String WAS_FORGOTTEN =
      "This person asked to be forgotten. Only they themselves can come back.";

  private final TableRows rows;
  private final RowReader reader;
  private final Forgotten forgotten;
  private long place;

  TableReading(byte[] table, TableForm form, TablePlan plan, Forgotten forgotten) {
    this.rows = new TableRows(table, form);
    this.reader = new RowReader(plan);
    this.forgotten = forgotten;
  }

  /**
   * @param people those that are understood
   * @param refused rows that are not taken
   * @param rows how many there were
   * @param last the number of the last of them
   */
  record Piece(List<Incoming> people, List<RefusedRow> refused, long rows, long last) {}

  /** Goes to the row behind one, as if all before it had been read. */
  void skipTo(long last) {
    while (place < last && rows.hasNext()) {
      TableRow row = rows.next();
      reader.read(row);
      place = row.number();
    }
  }

  /** The next rows, at most so many; none at the end. */
  Piece next(int most) {
    List<RowReader.Read> read = new ArrayList<>();
    while (read.size() < most && rows.hasNext()) {
      TableRow row = rows.next();
      read.add(reader.read(row));
      place = row.number();
    }
    List<RowReader.Read> right = read.stream().filter(one -> one.person() != null).toList();
    Set<String> gone =
        forgotten.among(
            right.stream().map(one -> Objects.requireNonNull(one.person()).address()).toList());
    List<Incoming> people = new ArrayList<>();
    List<RefusedRow> refused = new ArrayList<>();
    for (RowReader.Read one : read) {
      Incoming person = one.person();
      TableRow row = one.row();
      if (person == null) {
        refused.add(
            new RefusedRow(
                row.number(),
                row.line(),
                Csv.cut(String.join(" ", one.wrong())),
                Csv.line(row.cells())));
      } else if (gone.contains(person.address())) {
        refused.add(new RefusedRow(row.number(), row.line(), WAS_FORGOTTEN, ""));
      } else {
        people.add(person);
      }
    }
    return new Piece(people, refused, read.size(), place);
  }

  @Override
  public void close() {
    rows.close();
  }
}
