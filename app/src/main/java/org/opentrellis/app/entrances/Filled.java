package org.opentrellis.app.entrances;

import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * What somebody filled in, looked through.
 *
 * @param fields as they typed them, by the fields' names
 */
record Filled(
    String address,
    @Nullable String firstName,
    @Nullable String lastName,
    @Nullable String phone,
    boolean texts,
    Map<String, String> fields) {

  /** As the team is told of them. */
  String called() {
    String name =
        Stream.of(firstName, lastName).filter(Objects::nonNull).collect(Collectors.joining(" "));
    return name.isEmpty() ? address : name + " (" + address + ")";
  }
}
