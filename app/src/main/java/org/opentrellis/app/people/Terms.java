package org.opentrellis.app.people;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.journey.Name;

/**
 * What holds for all people of a table.
 *
 * @param how what brings them, such as: by import of keepers-fair.csv
 * @param labels lists that all are put on, and tags that all get
 * @param agreed how it is known that they agreed to email; null if they have not
 * @param startsJourneys whether they enter open journeys by what they are put on and tagged with
 * @param zone of those of whom the table does not say it
 */
public record Terms(
    String how,
    Known known,
    List<Name> labels,
    @Nullable String agreed,
    String zone,
    boolean startsJourneys) {}
