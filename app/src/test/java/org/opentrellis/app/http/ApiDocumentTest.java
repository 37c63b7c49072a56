package org.opentrellis.app.http;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.RunningApplication;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * The application ships the description of its API as it is committed, and the front end's types
 * are generated from it; it must be the one that is read off the controllers.
 */
class ApiDocumentTest {
  private static final Path COMMITTED = Path.of("../web/src/api/openapi.json");

  @RegisterExtension static final RunningApplication APP = RunningApplication.describingItself();

  @Test
  void theCommittedDocumentIsTheCurrentOne() throws Exception {
    JsonMapper json = JsonMapper.builder().build();
    JsonNode current = APP.get("/api/as-it-is").body();
    JsonNode committed = json.readTree(Files.readString(COMMITTED));
    Path fresh = Path.of("target/openapi.json");
    Files.writeString(
        fresh, json.writerWithDefaultPrettyPrinter().writeValueAsString(current) + "\n");
    assertThat(committed.equals(current))
        .as("The API has changed: copy app/%s over web/src/api/openapi.json and build.", fresh)
        .isTrue();
    assertThat(APP.get("/api/openapi").body()).isEqualTo(committed);
  }
}
