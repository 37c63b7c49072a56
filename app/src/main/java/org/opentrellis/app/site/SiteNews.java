package org.opentrellis.app.site;

import com.rometools.rome.feed.synd.SyndContent;
import com.rometools.rome.feed.synd.SyndContentImpl;
import com.rometools.rome.feed.synd.SyndEntry;
import com.rometools.rome.feed.synd.SyndEntryImpl;
import com.rometools.rome.feed.synd.SyndFeed;
import com.rometools.rome.feed.synd.SyndFeedImpl;
import com.rometools.rome.io.FeedException;
import com.rometools.rome.io.SyndFeedOutput;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.Date;
import java.util.List;
import java.util.Optional;
import org.jdom2.Verifier;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.clock.AccountClock;
import org.opentrellis.app.http.PublicAddress;
import org.opentrellis.app.letters.MailRoute;
import org.opentrellis.core.news.NewsSeries;
import org.opentrellis.core.problem.Refused;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** The stand-in site's news: what was posted, as its page and its feed tell it. */
@Component
@Transactional
public class SiteNews {
  /** So many of them stand on the page and in the feed. */
  private static final int SHOWN = 30;

  private static final int LONGEST_TITLE = 120;
  private static final int LONGEST = 2000;

  private final SitePostMapper mapper;
  private final MailRoute route;
  private final Account account;
  private final AccountClock clock;
  private final PublicAddress address;

  SiteNews(
      SitePostMapper mapper,
      MailRoute route,
      Account account,
      AccountClock clock,
      PublicAddress address) {
    this.mapper = mapper;
    this.route = route;
    this.account = account;
    this.clock = clock;
    this.address = address;
  }

  /** It is shut where real people are mailed, since whoever finds it may post there. */
  public boolean isOpen() {
    return route.leavesTo().isEmpty();
  }

  /** The newest first. */
  @Transactional(readOnly = true)
  List<SitePost> newest() {
    return mapper.newest(clock.now(), SHOWN);
  }

  @Transactional(readOnly = true)
  Optional<SitePost> find(long id) {
    return mapper.find(id);
  }

  /**
   * Posts something.
   *
   * @throws Refused if it has no title, or is too long
   */
  void post(String title, String words) {
    post(title, words, clock.instant());
  }

  /** The same at another moment; what is still to come is not shown until then. */
  public void post(String title, String words, Instant at) {
    String head = legal(title);
    String body = legal(words);
    require(head, "title", LONGEST_TITLE);
    require(body, "text", LONGEST);
    mapper.insert(head.strip(), body.strip(), at.getEpochSecond());
  }

  /** Without what cannot stand in a feed (XML 1.0, section 2.2). */
  private static String legal(String typed) {
    StringBuilder legal = new StringBuilder();
    typed.codePoints().filter(Verifier::isXMLCharacter).forEach(legal::appendCodePoint);
    return legal.toString();
  }

  private static void require(String what, String called, int most) {
    if (what.isBlank()) {
      throw new Refused("Write a %s: it has none yet.".formatted(called));
    }
    if (what.strip().length() > most) {
      throw new Refused(
          "The %s has %,d characters: %,d are the most.".formatted(called, what.length(), most));
    }
  }

  /** As an Atom feed (RFC 4287). */
  @Transactional(readOnly = true)
  public byte[] feed() {
    SyndFeed feed = new SyndFeedImpl();
    feed.setFeedType("atom_1.0");
    feed.setEncoding(StandardCharsets.UTF_8.name());
    feed.setTitle("News of " + name());
    feed.setUri(address.base() + NewsSeries.SITE);
    feed.setLink(address.base() + "/site/news");
    feed.setPublishedDate(Date.from(clock.instant()));
    feed.setEntries(newest().stream().map(this::entry).toList());
    try {
      return new SyndFeedOutput().outputString(feed).getBytes(StandardCharsets.UTF_8);
    } catch (FeedException fault) {
      throw new IllegalStateException("the site's feed cannot be written", fault);
    }
  }

  /** What the site is called. */
  String name() {
    String name = account.writer().name();
    return name.isBlank() ? "your website" : name;
  }

  private SyndEntry entry(SitePost post) {
    String page = address.base() + "/site/news?post=" + post.id();
    SyndContent words = new SyndContentImpl();
    words.setType("text");
    words.setValue(post.words());
    SyndEntry entry = new SyndEntryImpl();
    // A tag of its own (RFC 4151), since where the site stands may change.
    entry.setUri("tag:open-trellis,2026:site-news/" + post.id());
    entry.setTitle(post.title());
    entry.setLink(page);
    entry.setDescription(words);
    entry.setPublishedDate(Date.from(post.posted()));
    entry.setUpdatedDate(Date.from(post.posted()));
    return entry;
  }
}
