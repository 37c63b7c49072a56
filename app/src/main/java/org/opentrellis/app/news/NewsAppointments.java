package org.opentrellis.app.news;

import java.util.List;
import org.opentrellis.app.clock.AccountClock;
import org.opentrellis.app.live.Appointments;
import org.opentrellis.app.news.IssueRow.Outcome;
import org.opentrellis.core.news.IssueContent;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.PessimisticLockingFailureException;
import org.springframework.resilience.annotation.Retryable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Makes an issue shortly before its moment. What it holds, that it goes and when the next one does
 * are kept in one transaction. A source that cannot be read is asked again for some hours.
 */
@Component
class NewsAppointments implements Appointments {
  private static final Logger LOG = LoggerFactory.getLogger(NewsAppointments.class);

  /** So many seconds before its moment an issue is made. */
  static final long BEFORE = 60;

  private static final long TRIED_AGAIN_AFTER = 600;
  private static final long TRIED_FOR = 6 * 3600;

  /** Later than this nobody expects it any more. */
  private static final long TOO_LATE = 12 * 3600;

  private final NewsMapper mapper;
  private final NewsSource source;
  private final Issues issues;
  private final NewsMoments moments;
  private final AccountClock clock;
  private final TransactionTemplate transaction;

  NewsAppointments(
      NewsMapper mapper,
      NewsSource source,
      Issues issues,
      NewsMoments moments,
      AccountClock clock,
      TransactionTemplate transaction) {
    this.mapper = mapper;
    this.source = source;
    this.issues = issues;
    this.moments = moments;
    this.clock = clock;
    this.transaction = transaction;
  }

  @Override
  @Transactional(readOnly = true)
  public long next() {
    return mapper.nextDue().orElse(Long.MAX_VALUE);
  }

  @Override
  @Retryable(includes = PessimisticLockingFailureException.class, maxRetries = 20, delay = 20)
  public int keep(long until) {
    if (next() > until) {
      return 0;
    }
    // What was due while the machine was off is done in its order, and late by what it is now.
    long now = Math.max(until, clock.now());
    List<NewsRow> due = mapper.due(until);
    for (NewsRow row : due) {
      try {
        NewsSource.Read read = read(row, now);
        transaction.executeWithoutResult(status -> keep(row, read, now));
      } catch (PessimisticLockingFailureException taken) {
        throw taken;
      } catch (RuntimeException fault) {
        LOG.error("News {} has to wait: {}", row.id(), fault.getMessage(), fault);
        transaction.executeWithoutResult(
            status -> mapper.dueAgain(row.id(), now + TRIED_AGAIN_AFTER));
      }
    }
    return due.size();
  }

  /** Outside of any transaction, since it may take some seconds. */
  private NewsSource.Read read(NewsRow row, long now) {
    return row.skipsNext() || isTooLate(row, now)
        ? NewsSource.Read.NOTHING
        : source.tryToRead(row.series());
  }

  private static boolean isTooLate(NewsRow row, long now) {
    return row.nextAt() != null && now > row.nextAt() + TOO_LATE;
  }

  private void keep(NewsRow seen, NewsSource.Read read, long now) {
    NewsRow row = mapper.hold(seen.id()).orElseThrow();
    if (!row.equals(seen) || row.nextAt() == null) {
      // Somebody has changed it meanwhile: it is looked at again, as it is now.
      return;
    }
    long at = row.nextAt();
    IssueContent content = issues.content(row, row.series(), read.items(), row.from());
    if (row.skipsNext()) {
      issues.none(row, Outcome.SKIPPED, "Skipped: what was new waits for the next.");
    } else if (isTooLate(row, now)) {
      issues.none(
          row,
          Outcome.FAILED,
          "Did not go: Open Trellis was not running. What was new waits for the next.");
    } else if (!read.fault().isEmpty() && now < at + TRIED_FOR) {
      mapper.dueAgain(row.id(), now + TRIED_AGAIN_AFTER);
      return;
    } else if (!read.fault().isEmpty()) {
      issues.none(
          row,
          Outcome.FAILED,
          "Did not go: %s. What was new waits for the next.".formatted(read.fault()));
    } else if (content.isEmpty()) {
      issues.none(row, Outcome.NOTHING, "Nothing was new, so nothing went out.");
    } else {
      issues.send(row, at, content);
    }
    long next = moments.after(row.series(), Math.max(at, now));
    mapper.next(row.id(), next, next - BEFORE);
  }
}
