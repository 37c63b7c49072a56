package org.opentrellis.core.news;

import java.time.Instant;
import java.util.Optional;
import org.opentrellis.core.message.NewsEntry;

/**
 * A piece of news as its source gives it.
 *
 * @param id the source's own, by which it is known again
 * @param words how it begins, as plain text
 * @param address of its page; empty if it has none
 * @param posted when; empty if the source does not say
 */
public record NewsItem(
    String id, String title, String words, String address, Optional<Instant> posted) {

  /** As a message shows it. */
  public NewsEntry entry() {
    return new NewsEntry(title, words, address);
  }
}
