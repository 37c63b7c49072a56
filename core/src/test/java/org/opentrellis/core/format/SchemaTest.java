package org.opentrellis.core.format;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.networknt.schema.InputFormat;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.testing.RandomJourneys;

/** The published JSON Schema says what the reader does, by the judgement of another library. */
class SchemaTest {
  private static final Path PUBLISHED = Path.of("../docs/format/journey.schema.json");
  private static final Path EXAMPLES = Path.of("../docs/examples");

  private static com.networknt.schema.Schema schema() throws IOException {
    return SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
        .getSchema(Files.readString(PUBLISHED), InputFormat.JSON);
  }

  @Test
  void thePublishedSchemaIsTheCurrentOne() throws IOException {
    String current = Json.pretty(SchemaWriter.ofFile()) + "\n";
    Files.writeString(Path.of("target/journey.schema.json"), current);
    assertThat(Files.readString(PUBLISHED))
        .as("The format has changed: copy core/target/journey.schema.json over docs/format")
        .isEqualTo(current);
  }

  @Test
  void everyExampleIsReadFitsTheSchemaAndIsWrittenAsItStands() throws IOException {
    try (Stream<Path> all = Files.list(EXAMPLES)) {
      for (Path example : all.filter(p -> p.toString().endsWith(".json")).sorted().toList()) {
        String text = Files.readString(example);
        assertThat(schema().validate(text, InputFormat.JSON)).as("%s", example).isEmpty();
        JourneyFile file = Documents.readFile(text);
        assertThat(Documents.readFile(Documents.writeFile(file))).isEqualTo(file);
        assertThat(text)
            .as("%s is laid out as it would be printed", example)
            .isEqualTo(Pretty.print(Json.tree(text)));
      }
    }
  }

  @Test
  void randomJourneysFitTheSchema() throws IOException {
    var schema = schema();
    Catalogue all = RandomJourneys.CATALOGUE;
    for (long seed = 0; seed < 60; seed++) {
      JourneyFile file =
          new JourneyFile(
              JourneyFile.VERSION,
              RandomJourneys.journey(seed, 20),
              all.messages(),
              RandomJourneys.manuscripts(seed),
              all.strands(),
              all.segments(),
              Optional.of(RandomJourneys.behaviour(seed)));
      assertThat(schema.validate(Documents.writeFile(file), InputFormat.JSON))
          .as("seed %d", seed)
          .isEmpty();
    }
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '`',
      value = {
        "\"kind\": \"sendEmail\"|\"kind\": \"sing\"",
        "\"minutes\": 60|\"minutes\": \"60\"",
        "\"state\": \"OPEN\"|\"state\": \"OPEN\", \"colour\": 1",
        "\"unit\": \"DAYS\"|\"unit\": \"FORTNIGHTS\"",
        "\"version\": 4,|",
      })
  void whatTheReaderRefusesTheSchemaRefuses(String valid, String broken) throws IOException {
    String text = Files.readString(EXAMPLES.resolve("left-on-the-bench.json"));
    assertThat(text).contains(valid);
    String bad = text.replace(valid, broken == null ? "" : broken);
    assertThat(schema().validate(bad, InputFormat.JSON)).isNotEmpty();
    assertThatThrownBy(() -> Documents.readFile(bad)).isInstanceOf(ProblemsFound.class);
  }
}
