package org.opentrellis.app.site;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.entrances.Entrances;
import org.opentrellis.app.entrances.OpenEntrance;
import org.opentrellis.app.http.Templates;
import org.opentrellis.app.letters.MailRoute;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.thymeleaf.TemplateEngine;
import org.thymeleaf.context.Context;

/** The stand-in website; part of the public. It is shut where real people are mailed. */
@RestController
class SiteController {
  private static final MediaType HTML = new MediaType("text", "html", StandardCharsets.UTF_8);

  private final TemplateEngine engine = Templates.in("site");
  private final Entrances entrances;
  private final Account account;
  private final MailRoute route;

  SiteController(Entrances entrances, Account account, MailRoute route) {
    this.entrances = entrances;
    this.account = account;
    this.route = route;
  }

  /** A form as the page shows it. */
  record Shown(long id, String title, String path, boolean chosen) {}

  /**
   * @param form the number of the form that stands in the page; null for the first
   * @param card whether it slides in instead
   */
  @GetMapping("/site")
  ResponseEntity<String> page(
      @RequestParam(required = false) @Nullable Long form,
      @RequestParam(defaultValue = "false") boolean card) {
    boolean open = route.leavesTo().isEmpty();
    List<OpenEntrance> all = open ? entrances.open() : List.of();
    Optional<OpenEntrance> chosen =
        all.stream().filter(one -> form == null || one.id() == form).findFirst();
    List<Shown> forms =
        all.stream().map(one -> shown(one, chosen.filter(one::equals).isPresent())).toList();
    String name = account.writer().name();
    return ResponseEntity.status(open ? HttpStatus.OK : HttpStatus.NOT_FOUND)
        .contentType(HTML)
        .cacheControl(CacheControl.noStore())
        .body(
            engine.process(
                "site",
                new Context(
                    Locale.ENGLISH,
                    Map.of(
                        "account",
                        name.isBlank() ? "Your website" : name,
                        "forms",
                        forms,
                        "card",
                        card,
                        "open",
                        open))));
  }

  private static Shown shown(OpenEntrance one, boolean chosen) {
    return new Shown(one.id(), one.entrance().title(), one.path(), chosen);
  }
}
