package org.opentrellis.app.site;

import java.time.Instant;

/**
 * Something that was posted on the page of news.
 *
 * @param postedAt in epoch seconds
 */
record SitePost(long id, String title, String words, long postedAt) {
  Instant posted() {
    return Instant.ofEpochSecond(postedAt);
  }
}
