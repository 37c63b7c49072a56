package org.opentrellis.app.http;

import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.Collection;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.problem.Problems;
import org.springframework.core.MethodParameter;
import org.springframework.http.HttpInputMessage;
import org.springframework.http.converter.HttpMessageConverter;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.servlet.mvc.method.annotation.RequestBodyAdviceAdapter;
import tools.jackson.databind.JsonNode;

/**
 * Holds every body to what the API says is required: a component of a record that is not marked
 * nullable is there, and nothing in a list or a map is null. So no service need ask.
 */
@RestControllerAdvice
class RequiredParts extends RequestBodyAdviceAdapter {

  @Override
  public boolean supports(
      MethodParameter parameter, Type type, Class<? extends HttpMessageConverter<?>> converter) {
    return true;
  }

  @Override
  public Object afterBodyRead(
      Object body,
      HttpInputMessage message,
      MethodParameter parameter,
      Type type,
      Class<? extends HttpMessageConverter<?>> converter) {
    Problems problems = new Problems();
    look(body, "", problems);
    problems.throwIfAny();
    return body;
  }

  private static void look(@Nullable Object value, String place, Problems problems) {
    if (value == null || value instanceof JsonNode node && node.isNull()) {
      problems.add("missing-value", place, sentence(place));
    } else if (value instanceof Record whole) {
      components(whole, place, problems);
    } else if (value instanceof Collection<?> many) {
      int number = 0;
      for (Object one : many) {
        look(one, place + "/" + number++, problems);
      }
    } else if (value instanceof Map<?, ?> named) {
      named.forEach((name, one) -> look(one, place + "/" + escaped(name), problems));
    }
  }

  private static void components(Record whole, String place, Problems problems) {
    if (!whole.getClass().getPackageName().startsWith("org.opentrellis.app")) {
      return;
    }
    for (RecordComponent component : whole.getClass().getRecordComponents()) {
      @Nullable Object value = read(whole, component);
      boolean nullable = component.getAnnotatedType().isAnnotationPresent(Nullable.class);
      if (value != null || !nullable) {
        if (!(nullable && value instanceof JsonNode)) {
          look(value, place + "/" + component.getName(), problems);
        }
      }
    }
  }

  private static @Nullable Object read(Record whole, RecordComponent component) {
    try {
      component.getAccessor().setAccessible(true);
      return component.getAccessor().invoke(whole);
    } catch (IllegalAccessException | InvocationTargetException impossible) {
      throw new IllegalStateException(impossible);
    }
  }

  private static String escaped(@Nullable Object name) {
    return String.valueOf(name).replace("~", "~0").replace("/", "~1");
  }

  private static String sentence(String place) {
    String name = place.substring(place.lastIndexOf('/') + 1);
    return name.matches("\\d*")
        ? "Something is missing here: null is nothing."
        : "\u201c%s\u201d is missing.".formatted(name);
  }
}
