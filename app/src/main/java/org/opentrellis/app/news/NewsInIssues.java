package org.opentrellis.app.news;

import java.util.List;
import org.opentrellis.app.letters.IssueNews;
import org.opentrellis.core.message.NewsEntry;
import org.opentrellis.core.news.NewsItem;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** The news that stands in an issue, by the newsletter that it goes out as. */
@Component
@Transactional(readOnly = true)
class NewsInIssues implements IssueNews {
  private final NewsMapper mapper;

  NewsInIssues(NewsMapper mapper) {
    this.mapper = mapper;
  }

  @Override
  public List<NewsEntry> of(long journey) {
    return mapper.issueOf(journey).map(IssueRow::newsShown).orElse(List.of()).stream()
        .map(NewsItem::entry)
        .toList();
  }
}
