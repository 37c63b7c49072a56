package org.opentrellis.core.news;

import java.util.Optional;
import org.opentrellis.core.message.Limits;
import org.opentrellis.core.newsletter.Newsletter;

/**
 * News that goes out by itself on a rhythm, each issue a newsletter with what is new.
 *
 * @param letter what each issue is like; its time is the rhythm's to say
 * @param source the web address of a feed (Atom, RFC 4287, or RSS), or {@link #SITE}; blank until
 *     it is chosen
 */
public record NewsSeries(Newsletter letter, String source, Rhythm rhythm) {
  /** Where the stand-in site's feed stands. */
  public static final String SITE = "/site/news.atom";

  public NewsSeries {
    letter = letter.going(Optional.empty());
    source = Limits.line("the address of a feed", source, 2000).strip();
  }

  /** As it begins: with the site's news, to nobody yet. */
  public static NewsSeries begun(String name, Rhythm rhythm) {
    return new NewsSeries(Newsletter.begun(name), SITE, rhythm);
  }

  public boolean isFromSite() {
    return source.equals(SITE);
  }
}
