package org.opentrellis.core.format;

import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import org.opentrellis.core.problem.Problem;
import org.opentrellis.core.problem.ProblemsFound;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.core.StreamReadConstraints;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.core.TokenStreamLocation;
import tools.jackson.core.exc.StreamConstraintsException;
import tools.jackson.core.exc.StreamReadException;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.exc.InvalidFormatException;
import tools.jackson.databind.exc.InvalidTypeIdException;
import tools.jackson.databind.exc.UnrecognizedPropertyException;
import tools.jackson.databind.json.JsonMapper;

/** The one way this project reads and writes JSON: unknown and repeated fields are refused. */
public final class Json {
  /** No file of ours needs more; deeper nesting or longer texts are refused while parsing. */
  static final int MOST_CHARACTERS = 5_000_000;

  private static final JsonMapper MAPPER =
      strict(
              JsonMapper.builder(
                  JsonFactory.builder()
                      .streamReadConstraints(
                          StreamReadConstraints.builder()
                              .maxNestingDepth(120)
                              .maxStringLength(100_000)
                              .maxNameLength(1_000)
                              .maxNumberLength(60)
                              .build())
                      .build()))
          .build();

  private Json() {}

  /** Makes a mapper strict; for whoever reads the same documents elsewhere. */
  public static JsonMapper.Builder strict(JsonMapper.Builder builder) {
    return builder
        .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
        .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
        .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
        .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS);
  }

  /**
   * @throws ProblemsFound if the text does not fit the type
   */
  public static <T> T read(String text, Class<T> type) {
    try {
      return MAPPER.readValue(text, type);
    } catch (JacksonException refused) {
      throw new ProblemsFound(List.of(problem(refused)));
    }
  }

  /**
   * Any well-formed JSON.
   *
   * @throws ProblemsFound if it is not well-formed, or too large
   */
  public static JsonNode tree(String text) {
    if (text.length() > MOST_CHARACTERS) {
      throw new ProblemsFound(
          List.of(
              new Problem(
                  "too-large",
                  "",
                  "A file may have at most %,d characters, not %,d."
                      .formatted(MOST_CHARACTERS, text.length()))));
    }
    return read(text, JsonNode.class);
  }

  static JsonParser parser(String text) {
    return MAPPER.createParser(text);
  }

  public static String write(Object value) {
    return MAPPER.writeValueAsString(value);
  }

  /** The same, on several lines where it is long. */
  public static String pretty(Object value) {
    return Pretty.print(MAPPER.valueToTree(value)).stripTrailing();
  }

  /** What is wrong and where, in words that name no class of ours or of the library. */
  public static Problem problem(JacksonException refused) {
    String place =
        refused.getPath().stream()
            .map(
                step ->
                    step.getPropertyName() == null ? "" + step.getIndex() : step.getPropertyName())
            .map(name -> "/" + name.replace("~", "~0").replace("/", "~1"))
            .collect(Collectors.joining());
    if (refused instanceof UnrecognizedPropertyException unknown) {
      return new Problem(
          "unknown-field",
          place,
          "There is no field \u201c%s\u201d here.".formatted(unknown.getPropertyName()));
    }
    return new Problem("bad-json", place, sentence(refused));
  }

  private static String sentence(JacksonException refused) {
    if (refused instanceof InvalidTypeIdException kind) {
      return kind.getTypeId() == null
          ? "\u201ckind\u201d is missing."
          : "There is no kind \u201c%s\u201d here.".formatted(kind.getTypeId());
    }
    if (refused instanceof InvalidFormatException value) {
      Object[] choices = value.getTargetType().getEnumConstants();
      return choices == null
          ? "\u201c%s\u201d cannot be read here.".formatted(value.getValue())
          : "\u201c%s\u201d is none of %s."
              .formatted(
                  value.getValue(),
                  Arrays.stream(choices).map(Object::toString).collect(Collectors.joining(", ")));
    }
    if (refused instanceof StreamConstraintsException) {
      return "Something here is nested too deep or too long" + where(refused) + ".";
    }
    if (refused instanceof StreamReadException) {
      return "This is not well-formed JSON, or says something twice" + where(refused) + ".";
    }
    return "A value of another kind is needed here" + where(refused) + ".";
  }

  private static String where(JacksonException refused) {
    TokenStreamLocation at = refused.getLocation();
    return at == null ? "" : ": line %d, column %d".formatted(at.getLineNr(), at.getColumnNr());
  }
}
