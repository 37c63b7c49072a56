package org.opentrellis.app.letters;

import java.util.List;
import org.opentrellis.core.message.NewsEntry;

/** The news that stands in what goes out as an issue. */
public interface IssueNews {

  /**
   * What a list of news shows, newest first.
   *
   * @param journey that sends it; nothing if that is no issue
   */
  List<NewsEntry> of(long journey);
}
