package org.opentrellis.app.letters;

import java.net.URI;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.opentrellis.core.format.Json;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** Where the links of mail lead first; part of the public. A GET changes nothing. */
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

  private final SentMailMapper mapper;

  RedirectController(SentMailMapper mapper) {
    this.mapper = mapper;
  }

  @GetMapping("/r/{token}/{number}")
  ResponseEntity<String> follow(@PathVariable String token, @PathVariable int number) {
    Optional<String> to =
        mapper
            .links(new Token(token).hash())
            .map(sent -> List.of(Json.read(sent.links(), String[].class)))
            .filter(links -> number >= 0 && number < links.size())
            .map(links -> links.get(number));
    if (to.isEmpty()) {
      return page(HttpStatus.NOT_FOUND, "This link leads nowhere any more.");
    }
    String place = PLACES.get(to.get());
    return place == null
        ? ResponseEntity.status(HttpStatus.FOUND)
            .location(URI.create(to.get()))
            .cacheControl(CacheControl.noStore())
            .build()
        : page(HttpStatus.OK, "This was a test, so nothing happens. " + place);
  }

  private static ResponseEntity<String> page(HttpStatus status, String sentence) {
    return ResponseEntity.status(status)
        .contentType(MediaType.TEXT_HTML)
        .cacheControl(CacheControl.noStore())
        .body(
            """
            <!doctype html>
            <html lang="en">
              <head><meta charset="utf-8"><title>Open Trellis</title>
                <meta name="viewport" content="width=device-width, initial-scale=1"></head>
              <body><main><p>%s</p></main></body>
            </html>
            """
                .formatted(sentence));
  }
}
