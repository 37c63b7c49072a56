package org.opentrellis.app.news;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.opentrellis.core.news.NewsItem;
import org.opentrellis.core.problem.Refused;

/**
 * Feeds of the kinds there are become plain news; what is no feed, or would do harm, is refused.
 */
class FeedReadingTest {

  private static List<NewsItem> read(String feed) {
    return FeedReading.items(feed.getBytes(StandardCharsets.UTF_8));
  }

  /** The brief example of RFC 4287, section 1.1 (from memory). */
  @Test
  void theExampleOfTheAtomStandardIsRead() {
    assertThat(
            read(
                """
                <?xml version="1.0" encoding="utf-8"?>
                <feed xmlns="http://www.w3.org/2005/Atom">
                  <title>Example Feed</title>
                  <link href="http://example.org/"/>
                  <updated>2003-12-13T18:30:02Z</updated>
                  <author><name>John Doe</name></author>
                  <id>urn:uuid:60a76c80-d399-11d9-b93C-0003939e0af6</id>
                  <entry>
                    <title>Atom-Powered Robots Run Amok</title>
                    <link href="http://example.org/2003/12/13/atom03"/>
                    <id>urn:uuid:1225c695-cfb8-4ebb-aaaa-80da344efa6a</id>
                    <updated>2003-12-13T18:30:02Z</updated>
                    <summary>Some text.</summary>
                  </entry>
                </feed>
                """))
        .containsExactly(
            new NewsItem(
                "urn:uuid:1225c695-cfb8-4ebb-aaaa-80da344efa6a",
                "Atom-Powered Robots Run Amok",
                "Some text.",
                "http://example.org/2003/12/13/atom03",
                Optional.of(Instant.parse("2003-12-13T18:30:02Z"))));
  }

  /** RSS 2.0 as its specification has it: guid, pubDate as in RFC 822, HTML in a description. */
  @Test
  void rssIsReadAndItsHtmlBecomesPlainWords() {
    assertThat(
            read(
                """
                <rss version="2.0"><channel><title>News</title><link>https://hive.example/</link>
                <description>News</description>
                <item>
                  <title>Wax &amp; honey</title>
                  <link>https://hive.example/wax</link>
                  <guid isPermaLink="false">wax-1</guid>
                  <pubDate>Sun, 19 May 2002 15:21:36 GMT</pubDate>
                  <description>&lt;p&gt;Melted &lt;b&gt;on Saturday&lt;/b&gt;.&lt;script&gt;alert(1)&lt;/script&gt;&lt;/p&gt;</description>
                </item>
                <item><description>Without a title, or anything else.</description></item>
                <item><title>Elsewhere</title><link>javascript:alert(1)</link></item>
                <item/>
                </channel></rss>
                """))
        .containsExactly(
            new NewsItem(
                "wax-1",
                "Wax & honey",
                "Melted on Saturday.",
                "https://hive.example/wax",
                Optional.of(Instant.parse("2002-05-19T15:21:36Z"))),
            new NewsItem(
                "Without a title, or anything else.",
                "Without a title, or anything else.",
                "",
                "",
                Optional.empty()),
            new NewsItem("javascript:alert(1)", "Elsewhere", "", "", Optional.empty()));
  }

  @Test
  void aLongArticleIsCutAtTheEndOfAWord() {
    String words = "honey ".repeat(100).strip();
    String read =
        read("<rss version=\"2.0\"><channel><title>t</title><link>https://x.example</link>"
                + "<description>d</description><item><title>Long</title><description>"
                + words
                + "</description></item></channel></rss>")
            .getFirst()
            .words();
    assertThat(read).hasSizeLessThanOrEqualTo(281).endsWith("honey\u2026");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "no feed at all",
        "<html><body>A page</body></html>",
        "{\"items\": []}",
        "<rss version=\"2.0\"><channel><title>half",
        "<!DOCTYPE x [<!ENTITY a SYSTEM \"file:///etc/passwd\">]><rss version=\"2.0\"><channel>"
            + "<title>&a;</title><item><title>&a;</title></item></channel></rss>",
        "<!DOCTYPE x [<!ENTITY a \"aaaaaaaaaa\"><!ENTITY b \"&a;&a;&a;&a;&a;&a;&a;&a;\">]>"
            + "<rss version=\"2.0\"><channel><title>&b;</title></channel></rss>"
      })
  void whatIsNoFeedOrWouldDoHarmIsRefused(String given) {
    assertThatThrownBy(() -> read(given))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("no feed that can be read");
  }
}
