package org.opentrellis.app.letters;

import jakarta.servlet.http.HttpServletRequest;
import java.net.URI;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;

/**
 * Where the links of mail lead first; part of the public. A GET changes nothing but that a link was
 * followed, since programs that look at links follow them all.
 */
@RestController
class RedirectController {
  static final String CART = "cart";
  static final String CHOICES = "choices";
  static final String UNSUBSCRIBE = "unsubscribe";

  private static final Map<String, String> PLACES =
      Map.of(
          CART,
          "Here they find their cart as they left it.",
          CHOICES,
          "Here they choose what they get from you.",
          UNSUBSCRIBE,
          "Here they stop getting mail from you.");

  private final MailAnswers answers;

  RedirectController(MailAnswers answers) {
    this.answers = answers;
  }

  @GetMapping("/r/{token}/{number}")
  ResponseEntity<String> follow(
      @PathVariable String token, @PathVariable int number, HttpServletRequest request) {
    Token known = new Token(token);
    Optional<MailAnswers.Led> led = answers.leads(known, number);
    if (led.isEmpty()) {
      return page(HttpStatus.NOT_FOUND, "<p>This link leads nowhere any more.</p>");
    }
    String place = PLACES.get(led.get().to());
    if (place == null) {
      if (request.getMethod().equals("GET")) {
        answers.clicked(known, number);
      }
      return led(led.get().to());
    }
    if (led.get().test()) {
      return page(HttpStatus.OK, "<p>This was a test, so nothing happens. " + place + "</p>");
    }
    return switch (led.get().to()) {
      case UNSUBSCRIBE -> led("/u/" + token);
      case CHOICES -> led("/c/" + token);
      default -> led("/shop?mail=" + token);
    };
  }

  private static ResponseEntity<String> led(String to) {
    return ResponseEntity.status(HttpStatus.FOUND)
        .location(URI.create(to))
        .cacheControl(CacheControl.noStore())
        .build();
  }

  /** One click (RFC 8058) by a mail program. */
  @PostMapping("/r/{token}/{number}")
  ResponseEntity<String> unsubscribe(@PathVariable String token, @PathVariable int number) {
    Token known = new Token(token);
    boolean stops =
        answers.leads(known, number).filter(led -> led.to().equals(UNSUBSCRIBE)).isPresent();
    return stops && answers.unsubscribed(known)
        ? page(HttpStatus.OK, "<p>You get no more email from us.</p>")
        : page(HttpStatus.NOT_FOUND, "<p>This link leads nowhere any more.</p>");
  }

  private static ResponseEntity<String> page(HttpStatus status, String body) {
    return ResponseEntity.status(status)
        .contentType(MediaType.TEXT_HTML)
        .cacheControl(CacheControl.noStore())
        .body(
            """
            <!doctype html>
            <html lang="en">
              <head><meta charset="utf-8"><title>Open Trellis</title>
                <meta name="viewport" content="width=device-width, initial-scale=1"></head>
              <body><main>%s</main></body>
            </html>
            """
                .formatted(body));
  }
}
