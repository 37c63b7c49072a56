package org.opentrellis.app.site;

import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.http.Templates;
import org.opentrellis.core.news.NewsSeries;
import org.opentrellis.core.problem.Refused;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.thymeleaf.TemplateEngine;
import org.thymeleaf.context.Context;

/** The stand-in site's page of news, where one can post, and its feed; part of the public. */
@RestController
class SiteNewsController {
  private static final MediaType HTML = new MediaType("text", "html", StandardCharsets.UTF_8);
  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("d MMMM uuuu, HH:mm", Locale.ENGLISH);

  private final TemplateEngine engine = Templates.in("site");
  private final SiteNews news;
  private final Account account;

  SiteNewsController(SiteNews news, Account account) {
    this.news = news;
    this.account = account;
  }

  /** A post as the page shows it. */
  record Shown(long id, String title, String words, String when) {}

  /**
   * The form as it stands there.
   *
   * @param wrong what is to be said first; empty for nothing
   */
  record Form(String wrong, String title, String words) {
    static final Form EMPTY = new Form("", "", "");
  }

  /**
   * @param post the number of the one that alone is shown; null for all
   */
  @GetMapping("/site/news")
  ResponseEntity<String> read(@RequestParam(required = false) @Nullable Long post) {
    if (!news.isOpen()) {
      return shut();
    }
    if (post == null) {
      return page(HttpStatus.OK, news.newest(), List.of(), Form.EMPTY);
    }
    return news.find(post)
        .map(one -> page(HttpStatus.OK, List.of(), List.of(one), Form.EMPTY))
        .orElseGet(
            () ->
                page(
                    HttpStatus.NOT_FOUND,
                    news.newest(),
                    List.of(),
                    new Form("This piece of news is not there any more.", "", "")));
  }

  /** Posts something. */
  @PostMapping("/site/news")
  ResponseEntity<String> post(
      @RequestParam(defaultValue = "") String title,
      @RequestParam(defaultValue = "") String words) {
    if (!news.isOpen()) {
      return shut();
    }
    try {
      news.post(title, words);
    } catch (Refused refused) {
      return page(
          HttpStatus.BAD_REQUEST,
          news.newest(),
          List.of(),
          new Form(refused.sentence(), title, words));
    }
    return ResponseEntity.status(HttpStatus.SEE_OTHER).location(URI.create("/site/news")).build();
  }

  private ResponseEntity<String> shut() {
    return page(HttpStatus.NOT_FOUND, List.of(), List.of(), Form.EMPTY);
  }

  @GetMapping(path = NewsSeries.SITE)
  ResponseEntity<byte[]> feed() {
    return news.isOpen()
        ? ResponseEntity.ok()
            .contentType(MediaType.APPLICATION_ATOM_XML)
            .cacheControl(CacheControl.noStore())
            .body(news.feed())
        : ResponseEntity.notFound().build();
  }

  /**
   * @param alone the one that is shown without the others and the form, if any is
   */
  private ResponseEntity<String> page(
      HttpStatus status, List<SitePost> posts, List<SitePost> alone, Form form) {
    ZoneId zone = account.zone();
    return ResponseEntity.status(status)
        .contentType(HTML)
        .cacheControl(CacheControl.noStore())
        .body(
            engine.process(
                "news",
                new Context(
                    Locale.ENGLISH,
                    Map.of(
                        "account",
                        news.name(),
                        "open",
                        news.isOpen(),
                        "posts",
                        posts.stream().map(one -> shown(one, zone)).toList(),
                        "alone",
                        alone.stream().map(one -> shown(one, zone)).toList(),
                        "form",
                        form))));
  }

  private static Shown shown(SitePost post, ZoneId zone) {
    Instant at = post.posted();
    return new Shown(post.id(), post.title(), post.words(), DAY.format(at.atZone(zone)));
  }
}
