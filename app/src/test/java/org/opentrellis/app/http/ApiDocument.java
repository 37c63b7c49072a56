package org.opentrellis.app.http;

import com.fasterxml.jackson.databind.JavaType;
import com.fasterxml.jackson.databind.type.TypeFactory;
import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.converter.ModelConverterContext;
import io.swagger.v3.core.util.Json31;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.JsonSchema;
import io.swagger.v3.oas.models.media.Schema;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.format.SchemaWriter;
import org.springdoc.core.customizers.GlobalOpenApiCustomizer;

/**
 * Makes the OpenAPI document say what our records promise: a component that is not marked nullable
 * is always there, and one of several kinds is exactly one of them, told apart by {@code kind}. The
 * front end's types are generated from this.
 */
public final class ApiDocument implements ModelConverter, GlobalOpenApiCustomizer {
  private final Map<String, Class<?>> types = new ConcurrentHashMap<>();

  @Override
  public @Nullable Schema<?> resolve(
      AnnotatedType type, ModelConverterContext context, Iterator<ModelConverter> chain) {
    JavaType java = TypeFactory.defaultInstance().constructType(type.getType());
    if (java.getRawClass().getPackageName().startsWith("org.opentrellis")) {
      note(java.getRawClass());
    }
    return chain.hasNext() ? chain.next().resolve(type, context, chain) : null;
  }

  /** Two records of one name would silently be taken for one. */
  private void note(Class<?> type) {
    Class<?> other = types.put(type.getSimpleName(), type);
    if (other != null && other != type && type.isRecord()) {
      throw new IllegalStateException(
          "%s and %s would have one name in the API".formatted(other.getName(), type.getName()));
    }
  }

  @Override
  public void customise(OpenAPI api) {
    api.info(new Info().title("Open Trellis").version("1"));
    api.servers(null);
    Map<String, Schema> schemas = api.getComponents().getSchemas();
    schemas.forEach((name, schema) -> promise(types.get(name), flat(schema)));
    addDocuments(schemas);
  }

  /** The documents' schemas come from where the documents are read and written. */
  private static void addDocuments(Map<String, Schema> schemas) {
    SchemaWriter.ofParts(Schemas.PLACE)
        .forEach(
            (name, schema) ->
                schemas.put(name, Json31.mapper().convertValue(schema, JsonSchema.class)));
  }

  /** A kind repeats its parent in {@code allOf}; its own part is enough. */
  private static Schema<?> flat(Schema<?> schema) {
    List<Schema> parts = schema.getAllOf();
    if (parts != null) {
      for (Schema<?> part : parts) {
        if (part.getProperties() != null) {
          schema.setProperties(part.getProperties());
        }
      }
      schema.setAllOf(null);
      schema.addType("object");
      schema.setType("object");
    }
    return schema;
  }

  private static void promise(@Nullable Class<?> record, Schema<?> schema) {
    if (record == null || !record.isRecord() || schema.getProperties() == null) {
      return;
    }
    Map<String, Schema> properties = new LinkedHashMap<>();
    for (RecordComponent component : record.getRecordComponents()) {
      Schema<?> property = schema.getProperties().get(component.getName());
      if (property == null) {
        continue;
      }
      boolean nullable = component.getAnnotatedType().isAnnotationPresent(Nullable.class);
      properties.put(component.getName(), nullable ? orNull(property) : property);
    }
    schema.setProperties(properties);
    schema.setRequired(new ArrayList<>(properties.keySet()));
  }

  private static Schema<?> orNull(Schema<?> schema) {
    if (schema.get$ref() == null && schema.getTypes() != null) {
      schema.setTypes(new LinkedHashSet<>(schema.getTypes()));
      schema.getTypes().add("null");
      if (schema.getEnum() != null && !schema.getEnum().contains(null)) {
        schema.getEnum().add(null);
      }
      return schema;
    }
    Schema<?> nothing = new Schema<>();
    nothing.addType("null");
    Schema<?> either = new Schema<>();
    either.setAnyOf(List.of(schema, nothing));
    return either;
  }
}
