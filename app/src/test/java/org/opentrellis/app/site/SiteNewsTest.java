package org.opentrellis.app.site;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Instant;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.RunningApplication;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.clock.AccountClock;
import org.opentrellis.app.entrances.PublicVisitor;
import org.opentrellis.app.http.PublicAddress;
import org.opentrellis.app.letters.MailRoute;
import org.opentrellis.core.problem.Refused;

/**
 * Anybody may post on the stand-in site, with its own form, and nothing that is typed does harm.
 */
class SiteNewsTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.empty();

  private static final PublicVisitor VISITOR = new PublicVisitor(APP::address);

  @Test
  void whatIsPostedStandsOnThePageAndInTheFeed() {
    HttpResponse<String> posted =
        VISITOR.post(
            "/site/news", Map.of("title", "Wax & <b>honey</b>", "words", "<script>x()</script>"));
    assertThat(posted.statusCode()).isEqualTo(303);
    assertThat(posted.headers().firstValue("Location")).contains("/site/news");
    assertThat(VISITOR.get("/site/news").body())
        .contains("Wax &amp; &lt;b&gt;honey&lt;/b&gt;", "&lt;script&gt;x()")
        .doesNotContain("<script", "<b>");
    HttpResponse<String> feed = VISITOR.get("/site/news.atom");
    assertThat(feed.headers().firstValue("Content-Type").orElseThrow())
        .contains("application/atom+xml");
    assertThat(feed.body()).contains("Wax &amp; &lt;b&gt;honey", "/site/news?post=");
    String page = feed.body().replaceAll("(?s).*(/site/news\\?post=\\d+).*", "$1");
    assertThat(VISITOR.get(page).body())
        .contains("Wax &amp;", "All news")
        .doesNotContain("Post it");
  }

  @Test
  void whatCannotBePostedIsSaidAndNothingTypedIsLost() {
    HttpResponse<String> untitled =
        VISITOR.post("/site/news", Map.of("title", "  ", "words", "Two hours of work \"kept\""));
    assertThat(untitled.statusCode()).isEqualTo(400);
    assertThat(untitled.body())
        .contains("Write a title: it has none yet.", "Two hours of work &quot;kept&quot;");
    HttpResponse<String> tooLong =
        VISITOR.post("/site/news", Map.of("title", "x".repeat(121), "words", "Words"));
    assertThat(tooLong.statusCode()).isEqualTo(400);
    assertThat(tooLong.body()).contains("The title has 121 characters: 120 are the most.");
    HttpResponse<String> wordless = VISITOR.post("/site/news", Map.of("title", "A title"));
    assertThat(wordless.body()).contains("Write a text", "value=\"A title\"");
    HttpResponse<String> nothing = VISITOR.get("/site/news?post=4711");
    assertThat(nothing.statusCode()).isEqualTo(404);
    assertThat(nothing.body()).contains("This piece of news is not there any more.");
  }

  @Test
  void noOtherPagePostsThereAndNoScriptRuns() {
    HttpResponse<String> foreign =
        VISITOR.send(
            VISITOR
                .to("/site/news")
                .header("Origin", "https://elsewhere.example")
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString("title=Foreign&words=Words")));
    assertThat(foreign.statusCode()).isEqualTo(403);
    HttpResponse<String> page = VISITOR.get("/site/news");
    assertThat(page.body()).doesNotContain("Foreign");
    assertThat(page.headers().firstValue("Content-Security-Policy").orElseThrow())
        .contains("default-src 'none'", "frame-ancestors 'self'")
        .doesNotContain("script-src");
  }

  @Test
  void whatIsStillToComeIsNotShownYet() {
    long now = APP.get("/api/live").body().at("/clock/now").asLong();
    APP.bean(SiteNews.class).post("Of tomorrow", "Words", Instant.ofEpochSecond(now + 3600));
    assertThat(VISITOR.get("/site/news").body()).doesNotContain("Of tomorrow");
    assertThat(VISITOR.get("/site/news.atom").body()).doesNotContain("Of tomorrow");
  }

  /** Where real people are mailed, nobody who finds the page may write what they get. */
  @Test
  void itIsShutWhereMailLeaves() {
    MailRoute route = mock(MailRoute.class);
    when(route.leavesTo()).thenReturn(Optional.of("mail.example:25"));
    Account account = APP.bean(Account.class);
    SiteNews news =
        new SiteNews(
            APP.bean(SitePostMapper.class),
            route,
            account,
            APP.bean(AccountClock.class),
            APP.bean(PublicAddress.class));
    SiteNewsController site = new SiteNewsController(news, account);
    assertThat(site.post("For everybody", "Words").getStatusCode().value()).isEqualTo(404);
    assertThat(site.feed().getStatusCode().value()).isEqualTo(404);
    assertThat(site.read(null).getBody()).contains("shut where real people get mail");
    assertThat(VISITOR.get("/site/news").body()).doesNotContain("For everybody");
    assertThatThrownBy(() -> news.post("", "", Instant.EPOCH)).isInstanceOf(Refused.class);
  }
}
