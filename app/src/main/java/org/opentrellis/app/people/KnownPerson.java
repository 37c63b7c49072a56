package org.opentrellis.app.people;

import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.journey.ProductName;

/**
 * What a message can say of somebody.
 *
 * @param cart what is in it, the last first
 * @param lastOrder what they bought last
 */
public record KnownPerson(
    long id,
    String address,
    @Nullable String firstName,
    @Nullable String lastName,
    ZoneId zone,
    Map<FieldName, Operand> fields,
    List<KnownLine> cart,
    List<KnownLine> lastOrder) {

  /** A product with what it cost, in cents. */
  public record KnownLine(Optional<ProductName> product, long cents) {}

  /** As they are called; their address if no name is known. */
  public String called() {
    String name =
        ((firstName == null ? "" : firstName) + " " + (lastName == null ? "" : lastName)).strip();
    return name.isEmpty() ? address : name;
  }
}
