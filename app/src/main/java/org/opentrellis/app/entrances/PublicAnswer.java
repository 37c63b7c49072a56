package org.opentrellis.app.entrances;

import java.nio.charset.StandardCharsets;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/** Pages as the public gets them: they are kept nowhere on the way. */
final class PublicAnswer {
  private static final MediaType HTML = new MediaType("text", "html", StandardCharsets.UTF_8);

  private PublicAnswer() {}

  static ResponseEntity<String> ok(String page) {
    return of(HttpStatus.OK, page);
  }

  static ResponseEntity<String> of(HttpStatus status, String page) {
    return ResponseEntity.status(status)
        .contentType(HTML)
        .cacheControl(CacheControl.noStore())
        .body(page);
  }
}
