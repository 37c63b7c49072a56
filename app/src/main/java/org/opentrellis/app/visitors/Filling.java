package org.opentrellis.app.visitors;

import java.math.BigDecimal;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.opentrellis.app.entrances.OpenEntrance;
import org.opentrellis.app.names.NamedField;
import org.opentrellis.core.entrance.Asked;
import org.opentrellis.core.entrance.Entrance;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.people.FieldType;

/** What a visitor types into a form. */
final class Filling {
  private final Entrance entrance;
  private final List<NamedField> fields;

  /**
   * @param fields those of the account
   */
  Filling(Entrance entrance, List<NamedField> fields) {
    this.entrance = entrance;
    this.fields = fields;
  }

  /**
   * By the form's own names.
   *
   * @param knows what they can say of themselves; where they cannot and have to, they say anything
   */
  Map<String, String> of(
      String address, String firstName, String lastName, Map<FieldName, Operand> knows) {
    Map<String, String> typed = new LinkedHashMap<>();
    typed.put(OpenEntrance.ADDRESS, address);
    for (Asked asked : entrance.asks()) {
      Optional<String> says =
          switch (asked) {
            case Asked.FirstName first -> Optional.of(firstName);
            case Asked.LastName last -> Optional.of(lastName);
            // Nobody gives a number that might be somebody's.
            case Asked.Phone phone -> Optional.empty();
            case Asked.Texts texts -> Optional.empty();
            case Asked.Field field ->
                Optional.ofNullable(knows.get(field.field()))
                    .flatMap(Filling::typed)
                    .or(() -> field.required() ? Optional.of(anything(field)) : Optional.empty());
          };
      says.ifPresent(words -> typed.put(OpenEntrance.nameOf(asked), words));
    }
    return typed;
  }

  private static Optional<String> typed(Operand value) {
    return switch (value) {
      case Operand.Words words -> Optional.of(words.text());
      case Operand.Number number ->
          Optional.of(BigDecimal.valueOf(number.number()).stripTrailingZeros().toPlainString());
      case Operand.Date date -> Optional.of(date.date().toString());
      case Operand.Today today -> Optional.empty();
      case Operand.OtherField other -> Optional.empty();
    };
  }

  private String anything(Asked.Field asked) {
    NamedField field =
        fields.stream()
            .filter(one -> one.name().equals(asked.field().value()))
            .findFirst()
            .orElseGet(() -> new NamedField(asked.field().value(), FieldType.TEXT, null));
    return switch (field.fieldType() == null ? FieldType.TEXT : field.fieldType()) {
      case TEXT -> "something";
      case NUMBER -> "1";
      case DATE -> "2000-01-01";
      case YES_NO -> "yes";
      case ONE_OF -> field.mayBe().getFirst();
    };
  }
}
