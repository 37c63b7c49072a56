package org.opentrellis.app.letters;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Base64;
import org.opentrellis.app.http.ShownAnywhere;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** The picture of one clear pixel that tells that a mail was opened; part of the public. */
@RestController
class OpenMarkController {
  static final String ENDING = ".gif";

  /** GIF89a, one transparent pixel. */
  private static final byte[] CLEAR =
      Base64.getDecoder().decode("R0lGODlhAQABAIAAAAAAAP///yH5BAEAAAAALAAAAAABAAEAAAIBRAA7");

  private final MailAnswers answers;

  OpenMarkController(MailAnswers answers) {
    this.answers = answers;
  }

  /**
   * Whoever fetches it ahead of a reader says so, as programs do that fetch ahead ({@code
   * Sec-Purpose: prefetch}, Fetch standard).
   */
  @GetMapping("/o/{token}" + ENDING)
  ResponseEntity<byte[]> openMark(@PathVariable String token, HttpServletRequest request) {
    if (request.getMethod().equals("GET")) {
      String purpose = request.getHeader("Sec-Purpose");
      answers.opened(new Token(token), purpose != null && purpose.startsWith("prefetch"));
    }
    return ResponseEntity.ok()
        .contentType(MediaType.IMAGE_GIF)
        .cacheControl(CacheControl.noStore())
        .headers(ShownAnywhere::mark)
        .body(CLEAR);
  }
}
