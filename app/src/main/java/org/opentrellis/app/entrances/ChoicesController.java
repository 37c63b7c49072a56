package org.opentrellis.app.entrances;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Optional;
import java.util.function.LongFunction;
import org.opentrellis.app.letters.MailReaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/**
 * Where readers of mail choose what they get, and unsubscribe; part of the public. A GET changes
 * nothing, and whoever has no mail of ours learns nothing.
 */
@RestController
class ChoicesController {
  private static final String UNSUBSCRIBE = "Unsubscribe";

  private final MailReaders readers;
  private final Choosing choosing;
  private final EntrancePages pages;
  private final Visitors visitors;

  ChoicesController(
      MailReaders readers, Choosing choosing, EntrancePages pages, Visitors visitors) {
    this.readers = readers;
    this.choosing = choosing;
    this.pages = pages;
    this.visitors = visitors;
  }

  @GetMapping("/c/{token}")
  ResponseEntity<String> look(@PathVariable String token, HttpServletRequest request) {
    return of(token, request, person -> choosing.page(person, "/u/" + token));
  }

  @PostMapping("/c/{token}")
  ResponseEntity<String> choose(
      @PathVariable String token,
      @RequestParam MultiValueMap<String, String> typed,
      HttpServletRequest request) {
    return of(token, request, person -> choosing.choose(person, "/u/" + token, typed));
  }

  @GetMapping("/u/{token}")
  ResponseEntity<String> askToStop(@PathVariable String token, HttpServletRequest request) {
    return of(
        token,
        request,
        person ->
            Optional.of(
                PublicAnswer.ok(
                    pages.stops(UNSUBSCRIBE, "Do you want no more email from us?", UNSUBSCRIBE))));
  }

  /** By the page's button, or by a mail program (RFC 8058, section 3.1). */
  @PostMapping("/u/{token}")
  ResponseEntity<String> stop(@PathVariable String token) {
    // However many come at once: a mail service may stand for many of its readers.
    return of(
        token,
        person -> {
          readers.unsubscribes(token);
          return Optional.of(
              PublicAnswer.ok(pages.words(UNSUBSCRIBE, "You get no more email from us.")));
        });
  }

  private ResponseEntity<String> of(
      String token,
      HttpServletRequest request,
      LongFunction<Optional<ResponseEntity<String>>> answer) {
    if (visitors.tooMany(request.getRemoteAddr())) {
      return PublicAnswer.of(HttpStatus.TOO_MANY_REQUESTS, pages.tooFast());
    }
    return of(token, answer);
  }

  private ResponseEntity<String> of(
      String token, LongFunction<Optional<ResponseEntity<String>>> answer) {
    Optional<MailReaders.Reader> reader = readers.of(token);
    if (reader.isPresent() && reader.get().person().isEmpty()) {
      return PublicAnswer.ok(
          pages.words("A test", "The mail was a test, so there is nothing to choose here."));
    }
    return reader
        .flatMap(one -> answer.apply(one.person().orElseThrow()))
        .orElseGet(
            () ->
                PublicAnswer.of(
                    HttpStatus.NOT_FOUND,
                    pages.words("Nothing here", "This link leads nowhere any more.")));
  }
}
