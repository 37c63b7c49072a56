package org.opentrellis.app.files;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import org.opentrellis.app.http.ShownAnywhere;
import org.opentrellis.mail.PlayMark;
import org.springframework.http.CacheControl;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Where everybody gets the pictures and files that messages name; part of the public. */
@RestController
class PublicFiles {
  private static final Duration DAY = Duration.ofDays(1);

  private final KeptFiles files;

  PublicFiles(KeptFiles files) {
    this.files = files;
  }

  /**
   * @param play whether a picture gets the mark of a film
   */
  @GetMapping("/files/{name}")
  ResponseEntity<byte[]> file(
      @PathVariable String name, @RequestParam(defaultValue = "false") boolean play) {
    return files
        .content(name)
        .map(content -> answer(name, content, play))
        .orElseGet(() -> ResponseEntity.notFound().build());
  }

  private static ResponseEntity<byte[]> answer(
      String name, KeptFiles.Content content, boolean play) {
    boolean picture = content.type().startsWith("image/");
    byte[] bytes = play && picture ? PlayMark.on(content.bytes()) : content.bytes();
    ContentDisposition how =
        (picture ? ContentDisposition.inline() : ContentDisposition.attachment())
            .filename(name, StandardCharsets.UTF_8)
            .build();
    return ResponseEntity.ok()
        .contentType(
            play && picture ? MediaType.IMAGE_PNG : MediaType.parseMediaType(content.type()))
        .header(HttpHeaders.CONTENT_DISPOSITION, how.toString())
        .header("X-Content-Type-Options", "nosniff")
        .headers(ShownAnywhere::mark)
        .cacheControl(CacheControl.maxAge(DAY))
        .body(bytes);
  }
}
