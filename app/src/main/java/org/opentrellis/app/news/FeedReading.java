package org.opentrellis.app.news;

import com.rometools.rome.feed.synd.SyndContent;
import com.rometools.rome.feed.synd.SyndEntry;
import com.rometools.rome.feed.synd.SyndFeed;
import com.rometools.rome.io.FeedException;
import com.rometools.rome.io.SyndFeedInput;
import com.rometools.rome.io.XmlReader;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.time.Instant;
import java.util.Date;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.apache.commons.text.WordUtils;
import org.jsoup.Jsoup;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.message.WebAddress;
import org.opentrellis.core.news.NewsItem;
import org.opentrellis.core.problem.Refused;

/** Reads feeds: Atom (RFC 4287) and the kinds of RSS. What stands in them becomes plain text. */
final class FeedReading {
  /** So many are looked at: a feed begins with its newest. */
  private static final int MOST = 200;

  private static final int LONGEST_TITLE = 200;

  /** So much of an article's beginning stands in an email. */
  private static final int LONGEST = 280;

  private static final int LONGEST_ID = 1000;

  private FeedReading() {}

  /**
   * In the feed's order.
   *
   * @throws Refused if it is no feed
   */
  static List<NewsItem> items(byte[] feed) {
    SyndFeedInput input = new SyndFeedInput();
    // An entity could bring in files of this machine, or grow without end.
    input.setAllowDoctypes(false);
    try (XmlReader reader = new XmlReader(new ByteArrayInputStream(feed))) {
      SyndFeed read = input.build(reader);
      boolean atom = read.getFeedType().startsWith("atom");
      return read.getEntries().stream()
          .limit(MOST)
          .flatMap(entry -> item(entry, atom).stream())
          .toList();
    } catch (IOException | FeedException | IllegalArgumentException fault) {
      throw new Refused("what stands there is no feed that can be read (Atom or RSS)");
    }
  }

  /** What has neither a title nor words is no news. */
  private static Optional<NewsItem> item(SyndEntry entry, boolean atom) {
    String words = words(content(entry), atom);
    String title = cut(words(entry.getTitleEx(), atom), LONGEST_TITLE);
    String said = cut(words, LONGEST);
    String id =
        Stream.of(entry.getUri(), entry.getLink(), title + said)
            .filter(one -> one != null && !one.isBlank())
            .findFirst()
            .orElse("");
    if (id.isEmpty()) {
      return Optional.empty();
    }
    String link = entry.getLink() == null ? "" : entry.getLink().strip();
    return Optional.of(
        new NewsItem(
            id.substring(0, Math.min(LONGEST_ID, id.length())),
            title.isEmpty() ? cut(said, LONGEST_TITLE) : title,
            title.isEmpty() ? "" : said,
            WebAddress.refusal(link).isEmpty() ? link : "",
            posted(entry)));
  }

  private static Optional<Instant> posted(SyndEntry entry) {
    Date posted =
        entry.getPublishedDate() != null ? entry.getPublishedDate() : entry.getUpdatedDate();
    return Optional.ofNullable(posted).map(Date::toInstant);
  }

  private static @Nullable SyndContent content(SyndEntry entry) {
    return entry.getDescription() != null
        ? entry.getDescription()
        : entry.getContents().stream().findFirst().orElse(null);
  }

  /** Without the marks of HTML, which Atom says if it is any; RSS does not (RFC 4287, 3.1.1). */
  private static String words(@Nullable SyndContent content, boolean atom) {
    if (content == null || content.getValue() == null) {
      return "";
    }
    String value = content.getValue();
    String type = content.getType();
    return atom && (type == null || type.equals("text"))
        ? value.strip().replaceAll("\\s+", " ")
        : Jsoup.parse(value).text();
  }

  /** At the end of a word, if there is one in the last quarter. */
  private static String cut(String text, int most) {
    return text.length() <= most
        ? text
        : WordUtils.abbreviate(text, most - most / 4, most - 1, "\u2026");
  }
}
