package org.opentrellis.bench;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import org.opentrellis.core.format.Json;
import tools.jackson.databind.JsonNode;

/** Asks an application over HTTP; whatever it refuses ends the measurement. */
final class Asking {
  private final HttpClient client = HttpClient.newHttpClient();
  private final URI address;

  Asking(URI address) {
    this.address = address;
  }

  JsonNode get(String path) throws IOException, InterruptedException {
    return Json.tree(send(HttpRequest.newBuilder(address.resolve(path)).build()).body());
  }

  JsonNode post(String path, JsonNode body) throws IOException, InterruptedException {
    return Json.tree(send(json(path, "POST", body)).body());
  }

  JsonNode put(String path, JsonNode body) throws IOException, InterruptedException {
    return Json.tree(send(json(path, "PUT", body)).body());
  }

  JsonNode postCsv(String path, String table) throws IOException, InterruptedException {
    return Json.tree(
        send(HttpRequest.newBuilder(address.resolve(path))
                .header("Content-Type", "text/csv")
                .POST(HttpRequest.BodyPublishers.ofString(table))
                .build())
            .body());
  }

  /** How long an answer is; what comes is not kept. */
  long whole(String path, JsonNode body) throws IOException, InterruptedException {
    HttpResponse<InputStream> answer =
        client.send(json(path, "POST", body), HttpResponse.BodyHandlers.ofInputStream());
    return answer.body().transferTo(OutputStream.nullOutputStream());
  }

  private HttpRequest json(String path, String method, JsonNode body) {
    return HttpRequest.newBuilder(address.resolve(path))
        .header("Content-Type", "application/json")
        .method(method, HttpRequest.BodyPublishers.ofString(Json.write(body)))
        .build();
  }

  private HttpResponse<String> send(HttpRequest request) throws IOException, InterruptedException {
    HttpResponse<String> answer = client.send(request, HttpResponse.BodyHandlers.ofString());
    if (answer.statusCode() / 100 != 2) {
      throw new IOException(request.uri().getPath() + " answered " + answer.body());
    }
    return answer;
  }
}
