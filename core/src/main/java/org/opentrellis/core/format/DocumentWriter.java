package org.opentrellis.core.format;

import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Writes a value by its {@link DocumentForm}; {@link DocumentReader} gets the same value back. */
final class DocumentWriter {
  private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

  private final boolean complete;

  /**
   * @param complete whether to write also what is empty or false, which may be left out
   */
  DocumentWriter(boolean complete) {
    this.complete = complete;
  }

  JsonNode write(Object value, Type type) {
    DocumentForm shape = DocumentForm.of(type);
    return switch (shape) {
      case DocumentForm.Maybe maybe -> {
        Optional<?> given = (Optional<?>) value;
        yield given.isPresent() ? write(given.get(), maybe.value()) : NODES.nullNode();
      }
      case DocumentForm.Single single -> single.leaf().write().apply(value);
      case DocumentForm.Choice choice -> NODES.stringNode(((Enum<?>) value).name());
      case DocumentForm.ListOf list -> {
        ArrayNode items = NODES.arrayNode();
        Collection<?> all = (Collection<?>) value;
        (list.asSet() ? inOrder(all) : all).forEach(item -> items.add(write(item, list.item())));
        yield items;
      }
      case DocumentForm.MapOf map -> {
        Map<String, JsonNode> sorted = new TreeMap<>();
        ((Map<?, ?>) value)
            .forEach((k, v) -> sorted.put(write(k, map.key()).asString(), write(v, map.value())));
        ObjectNode entries = NODES.objectNode();
        sorted.forEach(entries::set);
        yield entries;
      }
      case DocumentForm.OneOf one ->
          fields(value, NODES.objectNode().put("kind", DocumentForm.kindOf(value.getClass())));
      case DocumentForm.Fields fields -> fields(value, NODES.objectNode());
    };
  }

  private ObjectNode fields(Object value, ObjectNode fields) {
    for (RecordComponent component : DocumentForm.components(value.getClass())) {
      JsonNode written =
          write(DocumentForm.component(component, value), component.getGenericType());
      boolean whole = complete || TypicalValues.FILLED_IN.contains(value.getClass());
      if (whole || !(empty(written) && DocumentForm.mayBeLeftOut(component.getGenericType()))) {
        fields.set(component.getName(), written);
      }
    }
    return fields;
  }

  /** Sets have no order of their own: constants by theirs, the rest by their names. */
  private static List<?> inOrder(Collection<?> set) {
    return set.stream()
        .sorted(
            (one, two) ->
                one instanceof Enum<?> constant
                    ? Integer.compare(constant.ordinal(), ((Enum<?>) two).ordinal())
                    : one.toString().compareTo(two.toString()))
        .toList();
  }

  private static boolean empty(JsonNode written) {
    return written.isNull()
        || written.isContainer() && written.isEmpty()
        || written.isBoolean() && !written.booleanValue();
  }
}
