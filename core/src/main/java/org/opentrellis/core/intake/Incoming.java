package org.opentrellis.core.intake;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.people.Mailing;

/**
 * A person as a row of a table has them; null and missing is what it does not say.
 *
 * @param line of the table, from 1
 * @param mailing what the table says of it
 * @param labels the lists and tags that the row names
 */
public record Incoming(
    long line,
    String address,
    @Nullable String firstName,
    @Nullable String lastName,
    @Nullable String phone,
    @Nullable String zone,
    @Nullable Mailing mailing,
    List<Name> labels,
    Map<FieldName, Operand> fields) {}
