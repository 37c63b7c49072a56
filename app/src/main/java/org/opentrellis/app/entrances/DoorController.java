package org.opentrellis.app.entrances;

import jakarta.servlet.http.HttpServletRequest;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.Optional;
import org.opentrellis.app.names.RegisteredNames;
import org.opentrellis.core.entrance.Entrance;
import org.opentrellis.core.entrance.Then;
import org.opentrellis.core.journey.FileName;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/**
 * The public door: where people sign up. It knows nothing of the workshop, answers the same whoever
 * is known already, and changes nothing on a GET but the count of visits.
 */
@RestController
@RequestMapping("/e")
class DoorController {
  private final EntranceMapper entrances;
  private final SignUps signUps;
  private final SignUpDesk desk;
  private final Visits visits;
  private final EntrancePages pages;
  private final FormSeal seal;
  private final Visitors visitors;
  private final RegisteredNames names;

  DoorController(
      EntranceMapper entrances,
      SignUps signUps,
      SignUpDesk desk,
      Visits visits,
      EntrancePages pages,
      FormSeal seal,
      Visitors visitors,
      RegisteredNames names) {
    this.entrances = entrances;
    this.signUps = signUps;
    this.desk = desk;
    this.visits = visits;
    this.pages = pages;
    this.seal = seal;
    this.visitors = visitors;
    this.names = names;
  }

  @GetMapping("/entrance.css")
  ResponseEntity<String> style() {
    return ResponseEntity.ok()
        .contentType(new MediaType("text", "css", StandardCharsets.UTF_8))
        .body(pages.style());
  }

  /** What a site loads on which the form slides in; nothing if nobody may come in. */
  @GetMapping("/{slug}/card.js")
  ResponseEntity<String> card(@PathVariable String slug) {
    return ResponseEntity.ok()
        .contentType(new MediaType("text", "javascript", StandardCharsets.UTF_8))
        .cacheControl(CacheControl.noCache())
        .header("Cross-Origin-Resource-Policy", "cross-origin")
        .body(open(slug).isPresent() ? pages.card() : "");
  }

  @GetMapping("/{slug}")
  ResponseEntity<String> form(@PathVariable String slug, HttpServletRequest request) {
    Optional<EntranceRow> open = open(slug);
    if (open.isEmpty()) {
      return nothingHere();
    }
    if (visitors.tooMany(request.getRemoteAddr())) {
      return tooMany(open.get());
    }
    visits.count(open.get().id());
    return PublicAnswer.of(HttpStatus.OK, form(open.get(), Map.of(), Map.of(), ""));
  }

  @PostMapping("/{slug}")
  ResponseEntity<String> signUp(
      @PathVariable String slug,
      @RequestParam Map<String, String> typed,
      HttpServletRequest request) {
    Optional<EntranceRow> open = open(slug);
    if (open.isEmpty()) {
      return nothingHere();
    }
    EntranceRow row = open.get();
    if (visitors.tooMany(request.getRemoteAddr())) {
      return tooMany(row);
    }
    if (!typed.getOrDefault(EntrancePages.TRAP, "").isEmpty()) {
      return thanks(row);
    }
    FormReading reading = new FormReading(names, typed);
    Filled filled = reading.read(row.entrance());
    if (!reading.problems().isEmpty()) {
      return PublicAnswer.of(
          HttpStatus.UNPROCESSABLE_CONTENT,
          form(row, typed, reading.problems(), "Please look at what is marked."));
    }
    return switch (seal.read(slug, typed.getOrDefault(EntrancePages.SEAL, ""))) {
      case FormSeal.Good good -> {
        desk.take(new SignUps.Sent(row, good.number(), filled));
        yield thanks(row);
      }
      case FormSeal.TooSoon soon ->
          PublicAnswer.of(
              HttpStatus.UNPROCESSABLE_CONTENT,
              form(row, typed, Map.of(), "That was quick. Please send it once more."));
      case FormSeal.Stale stale ->
          PublicAnswer.of(
              HttpStatus.UNPROCESSABLE_CONTENT,
              form(row, typed, Map.of(), "This page was open for long. Please send it once more."));
    };
  }

  /** What whoever has signed up sees; looking at it again sends nothing again. */
  @GetMapping("/{slug}/thanks")
  ResponseEntity<String> thanked(@PathVariable String slug) {
    return open(slug)
        .map(row -> PublicAnswer.of(HttpStatus.OK, thanksPage(row.entrance())))
        .orElseGet(this::nothingHere);
  }

  @GetMapping("/{slug}/confirm/{token}")
  ResponseEntity<String> ask(@PathVariable String slug, @PathVariable String token) {
    return entrances
        .bySlug(slug)
        .filter(row -> signUps.isAsked(row, token))
        .map(
            row ->
                PublicAnswer.of(
                    HttpStatus.OK,
                    pages.button(
                        row.entrance().title(),
                        "One more step: say that it was you who signed up.",
                        "Yes, it was me")))
        .orElseGet(this::nothingHere);
  }

  @PostMapping("/{slug}/confirm/{token}")
  ResponseEntity<String> confirm(@PathVariable String slug, @PathVariable String token) {
    return entrances
        .bySlug(slug)
        .filter(row -> signUps.confirm(row, token))
        .map(row -> PublicAnswer.of(HttpStatus.OK, welcome(row.entrance())))
        .orElseGet(this::nothingHere);
  }

  private Optional<EntranceRow> open(String slug) {
    return entrances.bySlug(slug).filter(EntranceRow::on);
  }

  private String form(
      EntranceRow row, Map<String, String> typed, Map<String, String> problems, String note) {
    return pages.form(row.entrance(), seal.make(row.slug()), typed, problems, note);
  }

  /** Led on, so that loading the page again sends nothing again. */
  private static ResponseEntity<String> thanks(EntranceRow row) {
    String to =
        row.entrance().then() instanceof Then.Address address
            ? address.url()
            : "/e/" + row.slug() + "/thanks";
    return ResponseEntity.status(HttpStatus.SEE_OTHER)
        .location(URI.create(to))
        .cacheControl(CacheControl.noStore())
        .build();
  }

  private String thanksPage(Entrance entrance) {
    // Who has to confirm gets what is handed out then.
    Optional<String> file =
        entrance.confirms() ? Optional.empty() : entrance.handsOut().map(FileName::value);
    String next =
        entrance.confirms()
            ? "\nLook into your mailbox: the link in our mail says that it was you."
            : "";
    return thanksPage(entrance, next, file);
  }

  /** What is shown to whoever confirmed. */
  private String welcome(Entrance entrance) {
    return pages.says(
        entrance.title(), "Thank you. Now you are in.", entrance.handsOut().map(FileName::value));
  }

  private String thanksPage(Entrance entrance, String next, Optional<String> file) {
    return switch (entrance.then()) {
      case Then.Words words -> pages.says(entrance.title(), words.words() + next, file);
      case Then.Page page ->
          pages
              .parts(page.message(), entrance.title(), next, file)
              .orElseGet(() -> pages.says(entrance.title(), "Thank you." + next, file));
      case Then.Address address -> pages.says(entrance.title(), "Thank you." + next, file);
    };
  }

  private ResponseEntity<String> nothingHere() {
    return PublicAnswer.of(
        HttpStatus.NOT_FOUND, pages.words("Nothing here", "There is no form here any more."));
  }

  private ResponseEntity<String> tooMany(EntranceRow row) {
    return PublicAnswer.of(HttpStatus.TOO_MANY_REQUESTS, pages.tooFast());
  }
}
