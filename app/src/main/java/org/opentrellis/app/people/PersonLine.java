package org.opentrellis.app.people;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.names.NameKind;
import org.opentrellis.core.people.Mailing;

/**
 * A person in a list.
 *
 * @param name null if it is not known
 * @param source how they came
 * @param fields what stands in each, as it is shown
 * @param cameAt in epoch seconds
 */
record PersonLine(
    long id,
    @Nullable String name,
    String address,
    Mailing mailing,
    List<String> lists,
    List<String> tags,
    @Nullable String phone,
    String zone,
    String source,
    Map<String, String> fields,
    long cameAt) {

  static PersonLine of(PersonRow row, List<LabelRow> labels, Map<String, String> fields) {
    return new PersonLine(
        row.id(),
        row.name(),
        row.address(),
        row.mailing(),
        names(labels, NameKind.LIST),
        names(labels, NameKind.TAG),
        row.phone(),
        row.zone(),
        row.source(),
        fields,
        row.cameAt());
  }

  private static List<String> names(List<LabelRow> labels, NameKind kind) {
    return labels.stream().filter(one -> one.kind() == kind).map(LabelRow::name).toList();
  }
}
