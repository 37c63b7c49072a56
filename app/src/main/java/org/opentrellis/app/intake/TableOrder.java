package org.opentrellis.app.intake;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.people.Known;
import org.opentrellis.core.intake.ColumnPlan;

/**
 * How a table is brought in.
 *
 * @param columns what each is, from the left
 * @param country two letters (ISO 3166) whose phone numbers stand there without its code
 * @param lists that all are put on
 * @param tags that all get
 * @param agreement has to be said before the table is brought in
 * @param agreed how it is known that they agreed
 * @param zone of those of whom the table does not say it
 * @param startsJourneys whether they enter open journeys by what they are put on and tagged with
 */
record TableOrder(
    List<ColumnPlan> columns,
    @Nullable String country,
    Known known,
    List<String> lists,
    List<String> tags,
    @Nullable Agreement agreement,
    @Nullable String agreed,
    String zone,
    @Nullable Boolean startsJourneys) {}
