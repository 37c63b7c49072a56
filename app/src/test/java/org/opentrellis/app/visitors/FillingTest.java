package org.opentrellis.app.visitors;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.opentrellis.app.names.NamedField;
import org.opentrellis.core.entrance.Asked;
import org.opentrellis.core.entrance.Entrance;
import org.opentrellis.core.entrance.Then;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.FormName;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.people.FieldType;

/** What visitors type can be read by the form, whatever it asks. */
class FillingTest {
  private static final List<NamedField> FIELDS =
      List.of(
          new NamedField("hives", FieldType.NUMBER, null),
          new NamedField("since", FieldType.DATE, null),
          new NamedField("bees", FieldType.YES_NO, null),
          new NamedField("breed", FieldType.ONE_OF, "dark\nlight"),
          new NamedField("garden", null, null));

  private static Map<String, String> typed(Map<FieldName, Operand> knows, Asked... asks) {
    Entrance entrance =
        new Entrance(
            new FormName("Form"),
            "Form",
            List.of(asks),
            "Go",
            "",
            true,
            List.of(),
            List.of(),
            new Then.Words("Thanks."),
            Optional.empty(),
            Optional.empty(),
            Optional.empty());
    return new Filling(entrance, FIELDS).of("ida@crowd.test", "Ida", "Holmgren", knows);
  }

  private static Asked field(String name, boolean required) {
    return new Asked.Field(new FieldName(name), "", required);
  }

  @Test
  void theyTypeWhatTheyAreAsFormsReadIt() {
    Map<FieldName, Operand> knows =
        Map.of(
            new FieldName("hives"),
            new Operand.Number(12),
            new FieldName("since"),
            new Operand.Date(LocalDate.of(2024, 5, 2)),
            new FieldName("garden"),
            new Operand.Words("large"));
    Map<String, String> typed =
        typed(
            knows,
            new Asked.FirstName(true),
            new Asked.LastName(false),
            field("hives", false),
            field("since", true),
            field("garden", false));
    assertThat(typed)
        .containsExactlyInAnyOrderEntriesOf(
            Map.of(
                "address", "ida@crowd.test",
                "first-name", "Ida",
                "last-name", "Holmgren",
                "field-hives", "12",
                "field-since", "2024-05-02",
                "field-garden", "large"));
    assertThat(FieldType.NUMBER.read(typed.get("field-hives"), List.of()))
        .contains(new Operand.Number(12));
    assertThat(FieldType.DATE.read(typed.get("field-since"), List.of()))
        .contains(new Operand.Date(LocalDate.of(2024, 5, 2)));
  }

  @Test
  void whatTheyHaveToSayAndDoNotKnowIsAnythingOfItsType() {
    Map<String, String> typed =
        typed(
            Map.of(),
            field("hives", true),
            field("since", true),
            field("bees", true),
            field("breed", true),
            field("garden", true),
            field("nobody knows it", true));
    for (NamedField field : FIELDS) {
      FieldType type = field.fieldType() == null ? FieldType.TEXT : field.fieldType();
      assertThat(type.read(typed.get("field-" + field.name()), field.mayBe()))
          .as(field.name())
          .isPresent();
    }
    assertThat(typed.get("field-nobody knows it")).isNotBlank();
  }

  @Test
  void whatTheyNeedNotSayTheyLeaveOutAndNobodyGivesANumber() {
    assertThat(
            typed(
                Map.of(),
                field("hives", false),
                new Asked.Phone(false),
                new Asked.Texts("Texts, too.")))
        .containsOnlyKeys("address");
  }
}
