package org.opentrellis.core.news;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * What is in an issue.
 *
 * @param shown the newest, newest first
 * @param leftOut what is new besides, and more than the message shows
 */
public record IssueContent(List<NewsItem> shown, List<NewsItem> leftOut) {
  public IssueContent {
    shown = List.copyOf(shown);
    leftOut = List.copyOf(leftOut);
  }

  /**
   * What is new at a source. What it does not date counts as just posted, in the source's order.
   *
   * @param there all that it gives
   * @param taken the ids of what stood in an issue before, or was left out of one
   * @param since nothing that was posted before it is new
   * @param most so many are shown
   */
  public static IssueContent of(List<NewsItem> there, Set<String> taken, Instant since, int most) {
    Set<String> seen = new HashSet<>(taken);
    List<NewsItem> fresh = new ArrayList<>();
    for (NewsItem item : there) {
      if (!item.posted().orElse(since).isBefore(since) && seen.add(item.id())) {
        fresh.add(item);
      }
    }
    fresh.sort(
        Comparator.comparing((NewsItem item) -> item.posted().orElse(Instant.MAX)).reversed());
    int shown = Math.min(most, fresh.size());
    return new IssueContent(fresh.subList(0, shown), fresh.subList(shown, fresh.size()));
  }

  /** Whether nothing is new, so that nothing goes out. */
  public boolean isEmpty() {
    return shown.isEmpty();
  }
}
