package org.opentrellis.app.calendar;

import org.opentrellis.app.calendar.CalendarFeed.FeedView;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The calendar for calendar programs. */
@RestController
class FeedController {
  private static final String CALENDAR = "text/calendar;charset=UTF-8";

  private final CalendarFeed feed;

  FeedController(CalendarFeed feed) {
    this.feed = feed;
  }

  @GetMapping("/api/calendar/file.ics")
  ResponseEntity<String> getCalendarFile() {
    return ResponseEntity.ok()
        .header(HttpHeaders.CONTENT_TYPE, CALENDAR)
        .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"calendar.ics\"")
        .body(feed.file());
  }

  /** Whether there is an address for calendar programs. */
  @GetMapping("/api/calendar/feed")
  FeedView getFeed() {
    return feed.view();
  }

  /** Makes a new address; an earlier one leads nowhere any more. */
  @PostMapping("/api/calendar/feed")
  @ResponseStatus(HttpStatus.CREATED)
  FeedView makeFeed() {
    return feed.make();
  }

  @DeleteMapping("/api/calendar/feed")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void stopFeed() {
    feed.stop();
  }

  /** For whoever knows the token; nobody else learns whether there is one. */
  @GetMapping("/feed/{token:[A-Za-z0-9_-]{22}}.ics")
  ResponseEntity<String> readFeed(@PathVariable String token) {
    return feed.opens(token)
        ? ResponseEntity.ok()
            .cacheControl(CacheControl.noStore())
            .header(HttpHeaders.CONTENT_TYPE, CALENDAR)
            .body(feed.file())
        : ResponseEntity.notFound().build();
  }
}
