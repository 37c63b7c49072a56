package org.opentrellis.app.intake;

import java.util.List;
import org.opentrellis.app.people.Acts;
import org.opentrellis.app.people.Known;
import org.springframework.stereotype.Service;

/** Brings in tables whose columns say what they are, without a user to ask. */
@Service
public class SelfExplaining {
  private final Tables tables;
  private final Acts acts;

  SelfExplaining(Tables tables, Acts acts) {
    this.tables = tables;
    this.acts = acts;
  }

  /**
   * Brings one in, and returns when it is done.
   *
   * @param name of the file
   * @param table as a file has it
   * @param agreed how it is known that its people agreed to email
   * @param zone of those of whom the table does not say it
   * @throws IllegalArgumentException if a column does not say what it is
   */
  public void bringIn(String name, byte[] table, String agreed, String zone) {
    TableView view = tables.handIn(name, table);
    view.columns().stream()
        .filter(column -> column.asks() != null)
        .findFirst()
        .ifPresent(
            column -> {
              throw new IllegalArgumentException(column.head() + ": " + column.asks());
            });
    TableOrder order =
        new TableOrder(
            view.columns().stream().map(TableView.FoundColumn::plan).toList(),
            null,
            Known.LEAVE,
            List.of(),
            List.of(),
            Agreement.THEY_AGREED,
            agreed,
            zone,
            false);
    tables.begin(view.id(), order);
    acts.finish();
  }
}
