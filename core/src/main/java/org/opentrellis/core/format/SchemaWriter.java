package org.opentrellis.core.format;

import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.opentrellis.core.journey.Name;

/**
 * The form of the documents as JSON Schema 2020-12, drawn from the same {@link DocumentForm}s that
 * read and write them, so that it cannot fall behind.
 */
public final class SchemaWriter {
  private static final Set<String> NEVER_FILLED_IN = Set.of("name", "share");

  private final String definitions;
  private final boolean complete;
  private final Map<String, Object> defined = new TreeMap<>();

  private SchemaWriter(String definitions, boolean complete) {
    this.definitions = definitions;
    this.complete = complete;
  }

  /** The schema of a journey file. */
  public static Map<String, Object> ofFile() {
    SchemaWriter writer = new SchemaWriter("#/$defs/", false);
    Map<String, Object> root = writer.reference(JourneyFile.class);
    Map<String, Object> schema = new LinkedHashMap<>();
    schema.put("$schema", "https://json-schema.org/draft/2020-12/schema");
    schema.put("$id", "urn:open-trellis:journey:" + JourneyFile.VERSION);
    schema.put("title", "An Open Trellis journey file");
    schema.putAll(root);
    schema.put("$defs", writer.defined);
    return schema;
  }

  /**
   * The schemas of all parts by name, each field present: as documents are written in full.
   *
   * @param definitions what references to them begin with
   */
  public static Map<String, Object> ofParts(String definitions) {
    SchemaWriter writer = new SchemaWriter(definitions, true);
    Documents.roots().forEach(writer::reference);
    return writer.defined;
  }

  private Map<String, Object> of(Type type) {
    DocumentForm shape = DocumentForm.of(type);
    if (type instanceof Class<?> named && Name.class.isAssignableFrom(named)) {
      return reference(named);
    }
    return switch (shape) {
      case DocumentForm.Single single -> single.leaf().schema();
      case DocumentForm.Maybe maybe -> orNull(of(maybe.value()));
      case DocumentForm.ListOf list -> list(list);
      case DocumentForm.MapOf map ->
          ordered("type", "object", "additionalProperties", of(map.value()));
      case DocumentForm.Choice choice -> reference(choice.type());
      case DocumentForm.OneOf one -> reference(one.type());
      case DocumentForm.Fields fields -> reference(fields.type());
    };
  }

  private Map<String, Object> list(DocumentForm.ListOf list) {
    Map<String, Object> schema = ordered("type", "array", "items", of(list.item()));
    if (list.asSet()) {
      schema.put("uniqueItems", true);
    }
    return schema;
  }

  /** Fields in the order given, so that the printed schema is always the same. */
  static Map<String, Object> ordered(String name, Object value, Object... more) {
    Map<String, Object> fields = new LinkedHashMap<>();
    fields.put(name, value);
    for (int i = 0; i < more.length; i += 2) {
      fields.put((String) more[i], more[i + 1]);
    }
    return fields;
  }

  private static Map<String, Object> orNull(Map<String, Object> schema) {
    return ordered("anyOf", List.of(schema, ordered("type", "null")));
  }

  private Map<String, Object> reference(Class<?> type) {
    String name = nameOf(type);
    if (!defined.containsKey(name)) {
      defined.put(name, Map.of());
      defined.put(name, definition(type));
    }
    return ordered("$ref", definitions + name);
  }

  /** A kind goes by its family too, since a wait's "until" is not a condition's. */
  private static String nameOf(Class<?> type) {
    Class<?> outer = type.getEnclosingClass();
    return outer == null ? type.getSimpleName() : outer.getSimpleName() + type.getSimpleName();
  }

  private Map<String, Object> definition(Class<?> type) {
    DocumentForm shape = DocumentForm.of(type);
    return switch (shape) {
      case DocumentForm.Single single -> single.leaf().schema();
      case DocumentForm.Choice choice -> ordered("type", "string", "enum", choice.constants());
      case DocumentForm.OneOf one -> oneOf(one);
      case DocumentForm.Fields fields -> fields(type, null);
      case DocumentForm.Maybe maybe -> of(type);
      case DocumentForm.ListOf list -> of(type);
      case DocumentForm.MapOf map -> of(type);
    };
  }

  private Map<String, Object> oneOf(DocumentForm.OneOf one) {
    List<Object> kinds = new ArrayList<>();
    one.kinds()
        .forEach(
            (kind, record) -> {
              defined.put(nameOf(record), fields(record, kind));
              kinds.add(ordered("$ref", definitions + nameOf(record)));
            });
    return ordered("oneOf", kinds);
  }

  private Map<String, Object> fields(
      Class<?> type, @org.jspecify.annotations.Nullable String kind) {
    Map<String, Object> properties = new LinkedHashMap<>();
    List<String> required = new ArrayList<>();
    if (kind != null) {
      properties.put("kind", ordered("const", kind, "type", "string"));
      required.add("kind");
    }
    for (RecordComponent component : type.getRecordComponents()) {
      Type of = component.getGenericType();
      properties.put(component.getName(), of(of));
      boolean filledIn =
          TypicalValues.FILLED_IN.contains(type) && !NEVER_FILLED_IN.contains(component.getName());
      if (complete || !filledIn && !DocumentForm.mayBeLeftOut(of)) {
        required.add(component.getName());
      }
    }
    Map<String, Object> schema = new LinkedHashMap<>();
    schema.put("type", "object");
    schema.put("properties", properties);
    schema.put("required", required);
    schema.put("additionalProperties", false);
    return schema;
  }
}
