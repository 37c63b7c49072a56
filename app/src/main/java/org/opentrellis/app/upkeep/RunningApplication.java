package org.opentrellis.app.upkeep;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import org.opentrellis.app.StartRefused;
import org.opentrellis.core.format.Json;
import tools.jackson.databind.JsonNode;

/** The application that works on a folder at the moment, as its note there says. */
final class RunningApplication {
  private final Path folder;

  RunningApplication(Path folder) {
    this.folder = folder;
  }

  void backup(Path file) throws IOException {
    Path note = folder.resolve("running.json");
    if (Files.notExists(note)) {
      throw new StartRefused(
          "Open Trellis is just starting on %s. Try again in a moment.".formatted(folder));
    }
    JsonNode said = Json.tree(Files.readString(note));
    HttpRequest request =
        HttpRequest.newBuilder(address(said))
            .header("Authorization", "Bearer " + said.path("key").asString())
            .header("Content-Type", "application/json")
            .POST(HttpRequest.BodyPublishers.noBody())
            .build();
    try {
      HttpResponse<Path> answer =
          HttpClient.newHttpClient().send(request, HttpResponse.BodyHandlers.ofFile(file));
      if (answer.statusCode() != 200) {
        String problem = Files.readString(file);
        throw new StartRefused(Json.tree(problem).path("detail").asString(problem));
      }
    } catch (InterruptedException stopped) {
      Thread.currentThread().interrupt();
      throw new IOException(stopped);
    }
  }

  private static URI address(JsonNode said) {
    String address = said.path("address").asString();
    boolean any = address.equals("0.0.0.0") || address.equals("::");
    String host = any ? "127.0.0.1" : address.contains(":") ? "[" + address + "]" : address;
    return URI.create("http://" + host + ":" + said.path("port").asInt() + "/api/backups");
  }
}
