package org.opentrellis.app.entrances;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.names.NamedField;
import org.opentrellis.core.entrance.Asked;
import org.opentrellis.core.entrance.Entrance;
import org.opentrellis.core.people.FieldType;

/**
 * Something that a form asks, as a page shows it.
 *
 * @param name the form's own
 * @param kind email, text, tel, number, date, choice or check
 * @param autocomplete what browsers may fill in (HTML, autofill field names); empty for nothing
 * @param choices of a choice
 */
record Question(
    String name,
    String words,
    String kind,
    String autocomplete,
    boolean required,
    List<String> choices) {

  /**
   * All that an entrance asks, in order.
   *
   * @param fields what is known of the account's fields, by name
   */
  static List<Question> of(Entrance entrance, Map<String, NamedField> fields) {
    List<Question> questions = new ArrayList<>();
    questions.add(
        new Question(FormReading.ADDRESS, "Email address", "email", "email", true, List.of()));
    questions.addAll(of(entrance.asks(), fields));
    return questions;
  }

  /** The same without the address. */
  static List<Question> of(List<Asked> asks, Map<String, NamedField> fields) {
    return asks.stream().map(asked -> of(asked, fields)).toList();
  }

  private static Question of(Asked asked, Map<String, NamedField> fields) {
    String name = FormReading.nameOf(asked);
    return switch (asked) {
      case Asked.FirstName first ->
          new Question(name, "First name", "text", "given-name", first.required(), List.of());
      case Asked.LastName last ->
          new Question(name, "Last name", "text", "family-name", last.required(), List.of());
      case Asked.Phone phone ->
          new Question(name, "Phone number, with +", "tel", "tel", phone.required(), List.of());
      case Asked.Texts texts ->
          new Question(name, texts.words().strip(), "check", "", false, List.of());
      case Asked.Field field -> of(name, field, fields.get(field.field().value()));
    };
  }

  private static Question of(String name, Asked.Field field, @Nullable NamedField known) {
    String words = field.words().isBlank() ? field.field().value() : field.words().strip();
    FieldType type = Optional.ofNullable(known).map(NamedField::fieldType).orElse(FieldType.TEXT);
    return switch (type) {
      case ONE_OF ->
          new Question(
              name,
              words,
              "choice",
              "",
              field.required(),
              known == null ? List.of() : known.mayBe());
      case YES_NO ->
          new Question(name, words, "choice", "", field.required(), List.of("yes", "no"));
      case NUMBER -> new Question(name, words, "number", "", field.required(), List.of());
      case DATE -> new Question(name, words, "date", "", field.required(), List.of());
      case TEXT -> new Question(name, words, "text", "", field.required(), List.of());
    };
  }
}
