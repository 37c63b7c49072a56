package org.opentrellis.core.format;

import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.problem.Problems;
import org.opentrellis.core.problem.Refused;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;

/**
 * Reads a document by its {@link DocumentForm}, noting each problem with its place and going on.
 */
final class DocumentReader {
  private final Problems problems;

  DocumentReader(Problems problems) {
    this.problems = problems;
  }

  /** The value, or empty if something in it was refused. */
  Optional<Object> read(JsonNode given, Type type, String place) {
    DocumentForm shape = DocumentForm.of(type);
    if (given.isNull() && !(shape instanceof DocumentForm.Maybe)) {
      missing(place);
      return Optional.empty();
    }
    return switch (shape) {
      case DocumentForm.Maybe maybe ->
          given.isNull()
              ? Optional.of(Optional.empty())
              : read(given, maybe.value(), place).map(Optional::of);
      case DocumentForm.Single single -> single(given, single.leaf(), place);
      case DocumentForm.Choice choice -> choice(given, choice, place);
      case DocumentForm.ListOf list -> list(given, list, place);
      case DocumentForm.MapOf map -> map(given, map, place);
      case DocumentForm.OneOf one -> oneOf(given, one, place);
      case DocumentForm.Fields fields -> fields(given, fields.type(), place, false);
    };
  }

  private Optional<Object> single(JsonNode given, ScalarForm leaf, String place) {
    try {
      return Optional.of(leaf.read().apply(given));
    } catch (ScalarForm.WrongKind wrong) {
      wrongKind(leaf.expected(), place);
    } catch (Refused refused) {
      refused(refused, place);
    }
    return Optional.empty();
  }

  private Optional<Object> choice(JsonNode given, DocumentForm.Choice choice, String place) {
    String named = given.isString() ? given.stringValue() : given.toString();
    int index = choice.constants().indexOf(named);
    if (index < 0) {
      problems.add(
          "bad-value",
          place,
          "\u201c%s\u201d is none of %s."
              .formatted(brief(named), String.join(", ", choice.constants())));
      return Optional.empty();
    }
    return Optional.of(choice.type().getEnumConstants()[index]);
  }

  private Optional<Object> list(JsonNode given, DocumentForm.ListOf list, String place) {
    if (!given.isArray()) {
      wrongKind("a list", place);
      return Optional.empty();
    }
    List<Object> items = new ArrayList<>();
    for (int i = 0; i < given.size(); i++) {
      read(given.get(i), list.item(), place + "/" + i).ifPresent(items::add);
    }
    if (list.asSet() && new LinkedHashSet<>(items).size() < items.size()) {
      problems.add("bad-value", place, "Nothing may stand here twice.");
    }
    boolean whole = items.size() == given.size();
    return whole
        ? Optional.of(list.asSet() ? new LinkedHashSet<>(items) : items)
        : Optional.empty();
  }

  private Optional<Object> map(JsonNode given, DocumentForm.MapOf map, String place) {
    if (!given.isObject()) {
      wrongKind("an object", place);
      return Optional.empty();
    }
    Map<Object, Object> read = new LinkedHashMap<>();
    for (Map.Entry<String, JsonNode> entry : given.properties()) {
      String at = place + "/" + escaped(entry.getKey());
      JsonNode name = JsonNodeFactory.instance.stringNode(entry.getKey());
      Optional<Object> key = read(name, map.key(), at);
      Optional<Object> value = read(entry.getValue(), map.value(), at);
      key.ifPresent(k -> value.ifPresent(v -> read.put(k, v)));
    }
    return read.size() == given.size() ? Optional.of(read) : Optional.empty();
  }

  private Optional<Object> oneOf(JsonNode given, DocumentForm.OneOf one, String place) {
    if (!given.isObject()) {
      wrongKind("an object with a \u201ckind\u201d", place);
      return Optional.empty();
    }
    JsonNode kind = given.get("kind");
    if (kind == null) {
      missing(place + "/kind");
      return Optional.empty();
    }
    Class<?> type = kind.isString() ? one.kinds().get(kind.stringValue()) : null;
    if (type == null) {
      String named = kind.isString() ? kind.stringValue() : kind.toString();
      problems.add(
          "bad-kind",
          place + "/kind",
          "There is no kind \u201c%s\u201d here, only %s."
              .formatted(brief(named), String.join(", ", one.kinds().keySet())));
      return Optional.empty();
    }
    return fields(given, type, place, true);
  }

  private Optional<Object> fields(JsonNode given, Class<?> type, String place, boolean hasKind) {
    if (!given.isObject()) {
      wrongKind("an object", place);
      return Optional.empty();
    }
    List<RecordComponent> components = DocumentForm.components(type);
    List<String> names = new ArrayList<>();
    List<Object> values = new ArrayList<>();
    boolean whole = true;
    for (RecordComponent component : components) {
      names.add(component.getName());
      Optional<Object> value =
          field(given.get(component.getName()), component, place + "/" + component.getName());
      whole &= value.isPresent();
      value.ifPresent(values::add);
    }
    for (String name : given.propertyNames()) {
      if (!names.contains(name) && !(hasKind && name.equals("kind"))) {
        problems.add(
            "unknown-field",
            place + "/" + escaped(name),
            "There is no field \u201c%s\u201d here.".formatted(brief(name)));
        whole = false;
      }
    }
    return whole ? made(type, values, place) : Optional.empty();
  }

  private Optional<Object> field(
      @Nullable JsonNode given, RecordComponent component, String place) {
    Type type = component.getGenericType();
    if (given != null && !(given.isNull() && DocumentForm.mayBeLeftOut(type))) {
      return read(given, type, place);
    }
    Optional<Object> leftOut = leftOut(type);
    if (leftOut.isEmpty()) {
      missing(place);
    }
    return leftOut;
  }

  /** What a field stands for that is not there; empty if it must be. */
  private static Optional<Object> leftOut(Type type) {
    return switch (DocumentForm.of(type)) {
      case DocumentForm.Maybe maybe -> Optional.of(Optional.empty());
      case DocumentForm.ListOf list -> Optional.of(list.asSet() ? Set.of() : List.of());
      case DocumentForm.MapOf map -> Optional.of(Map.of());
      case DocumentForm.Single single ->
          type == boolean.class ? Optional.of(false) : Optional.empty();
      case DocumentForm.Choice choice -> Optional.empty();
      case DocumentForm.OneOf one -> Optional.empty();
      case DocumentForm.Fields fields -> Optional.empty();
    };
  }

  private Optional<Object> made(Class<?> type, List<Object> values, String place) {
    try {
      return Optional.of(DocumentForm.make(type, values));
    } catch (Refused refused) {
      refused(refused, place);
      return Optional.empty();
    }
  }

  private void missing(String place) {
    String field = place.substring(place.lastIndexOf('/') + 1);
    problems.add("missing-value", place, "\u201c" + brief(field) + "\u201d is missing.");
  }

  private void wrongKind(String expected, String place) {
    problems.add("bad-value", place, "Here must be " + expected + ".");
  }

  private void refused(Refused refused, String place) {
    problems.add(refused.code(), place, refused.sentence());
  }

  /** A step of a JSON Pointer (RFC 6901). */
  static String escaped(String name) {
    return name.replace("~", "~0").replace("/", "~1");
  }

  private static String brief(String text) {
    return text.length() <= 60 ? text : text.substring(0, 60) + "\u2026";
  }
}
