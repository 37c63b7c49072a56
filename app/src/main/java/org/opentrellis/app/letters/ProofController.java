package org.opentrellis.app.letters;

import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

@RestController
class ProofController {
  /** What may be in mail that is looked at: words, styles and pictures of this application. */
  private static final String POLICY =
      String.join(
          "; ",
          "default-src 'none'",
          "style-src 'unsafe-inline'",
          "img-src 'self' data:",
          "form-action 'none'",
          "base-uri 'none'",
          "frame-ancestors 'self'",
          "sandbox allow-same-origin");

  private static final String EMPTY =
      "<!doctype html><html lang=\"en\"><head><title>Proof</title></head><body></body></html>";

  private final Proofs proofs;

  ProofController(Proofs proofs) {
    this.proofs = proofs;
  }

  @PostMapping("/api/proofs")
  ProofView makeProof(@RequestBody ProofOrder order) {
    return proofs.of(order);
  }

  /**
   * An empty sheet in which mail is shown, under a policy of its own: no script ever runs there.
   */
  @GetMapping(path = "/proof-sheet", produces = MediaType.TEXT_HTML_VALUE)
  ResponseEntity<String> getProofSheet() {
    return sheet(EMPTY);
  }

  /** A page with mail in it. */
  static ResponseEntity<String> sheet(String html) {
    return ResponseEntity.ok()
        .contentType(MediaType.TEXT_HTML)
        .header("Content-Security-Policy", POLICY)
        .header("X-Frame-Options", "SAMEORIGIN")
        .body(html);
  }
}
