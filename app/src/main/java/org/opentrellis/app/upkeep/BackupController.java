package org.opentrellis.app.upkeep;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import org.opentrellis.app.storage.OnlineBackup;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

@RestController
@RequestMapping("/api/backups")
class BackupController {
  private final OnlineBackup backup;
  private final Clock clock;

  BackupController(OnlineBackup backup, @Qualifier("wallClock") Clock clock) {
    this.backup = backup;
    this.clock = clock;
  }

  /** Everything that is kept, as a zip that {@code ./trellis restore} brings back. */
  @PostMapping(produces = "application/zip")
  @ApiResponse(
      responseCode = "200",
      content =
          @Content(
              mediaType = "application/zip",
              schema = @Schema(type = "string", format = "binary")))
  ResponseEntity<StreamingResponseBody> makeBackup() throws IOException {
    Path file = backup.make();
    String name = "open-trellis-" + LocalDate.now(clock.withZone(ZoneId.systemDefault())) + ".zip";
    ContentDisposition disposition = ContentDisposition.attachment().filename(name).build();
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType("application/zip"))
        .header(HttpHeaders.CONTENT_DISPOSITION, disposition.toString())
        .body(
            out -> {
              try {
                Files.copy(file, out);
              } finally {
                Files.deleteIfExists(file);
              }
            });
  }
}
