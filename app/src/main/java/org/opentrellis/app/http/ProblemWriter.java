package org.opentrellis.app.http;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Answers with a problem (RFC 9457) where no controller has been reached. */
@Component
public class ProblemWriter {
  private final JsonMapper json;

  ProblemWriter(JsonMapper json) {
    this.json = json;
  }

  /**
   * @param code stable, for programs
   * @param sentence what is wrong and what to do
   */
  public void write(HttpServletResponse response, HttpStatus status, String code, String sentence)
      throws IOException {
    write(response, ProblemHandler.detail(status, code, sentence));
  }

  void write(HttpServletResponse response, ProblemDetail problem) throws IOException {
    response.setStatus(problem.getStatus());
    response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
    response
        .getOutputStream()
        .write(json.writeValueAsString(problem).getBytes(StandardCharsets.UTF_8));
  }
}
