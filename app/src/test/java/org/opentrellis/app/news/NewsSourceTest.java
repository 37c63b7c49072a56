package org.opentrellis.app.news;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.time.LocalTime;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.opentrellis.app.site.SiteNews;
import org.opentrellis.core.news.NewsItem;
import org.opentrellis.core.news.NewsSeries;
import org.opentrellis.core.news.Rhythm;
import org.opentrellis.core.newsletter.Newsletter;

/** A source of the web is read, or it is said why not; it never takes us along. */
class NewsSourceTest {
  private static final String FEED =
      "<rss version=\"2.0\"><channel><title>t</title><link>https://x.example</link>"
          + "<description>d</description><item><title>%s</title></item></channel></rss>";
  private static final int TWO_MEGABYTES = 2_000_000;

  private static HttpServer web;
  private final SiteNews site = mock(SiteNews.class);
  private final NewsSource source = new NewsSource(site);

  @BeforeAll
  static void theWeb() throws IOException {
    web = HttpServer.create(new InetSocketAddress("127.0.0.1", 0), 0);
    answers("/feed", 200, FEED.formatted("News"));
    answers("/gone", 410, "");
    answers("/page", 200, "<!doctype html><title>No feed</title>");
    answers("/large", 200, FEED.formatted("x".repeat(TWO_MEGABYTES)));
    web.createContext(
        "/moved",
        exchange -> {
          exchange.getResponseHeaders().add("Location", "/feed");
          exchange.sendResponseHeaders(302, -1);
          exchange.close();
        });
    web.createContext(
        "/circle",
        exchange -> {
          exchange.getResponseHeaders().add("Location", "/circle");
          exchange.sendResponseHeaders(302, -1);
          exchange.close();
        });
    web.createContext("/hangs", exchange -> {});
    web.createContext("/breaks", exchange -> exchange.close());
    web.start();
  }

  private static void answers(String path, int status, String body) {
    byte[] bytes = body.getBytes(StandardCharsets.UTF_8);
    web.createContext(
        path,
        exchange -> {
          exchange.sendResponseHeaders(status, bytes.length == 0 ? -1 : bytes.length);
          exchange.getResponseBody().write(bytes);
          exchange.close();
        });
  }

  @AfterAll
  static void noWeb() {
    web.stop(0);
  }

  private static NewsSeries at(String source) {
    return new NewsSeries(Newsletter.begun("News"), source, new Rhythm.Daily(LocalTime.of(9, 0)));
  }

  private static String here(String path) {
    return "http://127.0.0.1:%d%s".formatted(web.getAddress().getPort(), path);
  }

  @ParameterizedTest
  @CsvSource({"/feed", "/moved"})
  void aFeedIsReadAlsoWhereItHasMovedTo(String path) {
    NewsSource.Read read = source.tryToRead(at(here(path)));
    assertThat(read.fault()).isEmpty();
    assertThat(read.items()).extracting(NewsItem::title).containsExactly("News");
  }

  @ParameterizedTest
  @CsvSource({
    "/gone, the source answers with the status 410",
    "/circle, the source answers with the status 302",
    "/page, what stands there is no feed that can be read (Atom or RSS)",
    "/large, the source is larger than 2 MB",
    "/hangs, the source does not answer",
    "/breaks, the source does not answer",
  })
  void whatCannotBeReadIsSaidWithinSeconds(String path, String fault) {
    long begun = System.nanoTime();
    NewsSource.Read read = source.tryToRead(at(here(path)));
    assertThat(read.fault()).isEqualTo(fault);
    assertThat(read.items()).isEmpty();
    assertThat((System.nanoTime() - begun) / 1_000_000_000).isLessThan(12);
  }

  @ParameterizedTest
  @CsvSource({"ftp://x.example/feed", "nothing", "'http://a b/feed'", "file:///etc/passwd"})
  void whatIsNoWebAddressIsNotAskedFor(String address) {
    assertThat(source.tryToRead(at(address)).fault()).isEqualTo("the source is no web address");
  }

  @Test
  void theSiteIsReadOnlyWhileItIsOpen() {
    when(site.feed()).thenReturn(FEED.formatted("Own").getBytes(StandardCharsets.UTF_8));
    assertThat(source.tryToRead(at(NewsSeries.SITE)).fault())
        .isEqualTo("the site is a stand-in, and shut where real people get mail");
    when(site.isOpen()).thenReturn(true);
    assertThat(source.tryToRead(at(NewsSeries.SITE)).items())
        .extracting(NewsItem::title)
        .containsExactly("Own");
  }
}
