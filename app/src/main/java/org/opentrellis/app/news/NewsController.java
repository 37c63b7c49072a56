package org.opentrellis.app.news;

import java.util.List;
import org.opentrellis.app.news.NewsOrders.NewSeries;
import org.opentrellis.app.news.NewsOrders.SeriesDraft;
import org.opentrellis.app.news.NewsOrders.SeriesGiven;
import org.opentrellis.app.news.NewsOrders.SeriesGo;
import org.opentrellis.app.news.NewsOrders.SeriesSkip;
import org.opentrellis.app.news.NewsViews.SeriesLine;
import org.opentrellis.app.news.NewsViews.SeriesLook;
import org.opentrellis.app.news.NewsViews.SeriesView;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/news")
class NewsController {
  private final NewsOnRhythm news;
  private final NewsDesk desk;

  NewsController(NewsOnRhythm news, NewsDesk desk) {
    this.news = news;
    this.desk = desk;
  }

  @GetMapping
  List<SeriesLine> listNews() {
    return news.list();
  }

  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  SeriesView addNews(@RequestBody NewSeries asked) {
    return news.add(asked.name());
  }

  @GetMapping("/{id}")
  SeriesView getNews(@PathVariable long id) {
    return news.view(id);
  }

  @PutMapping("/{id}")
  SeriesView saveNews(@PathVariable long id, @RequestBody SeriesDraft draft) {
    return news.save(id, draft);
  }

  /** How it would be that is being changed, and its next issue; nothing is kept. */
  @PostMapping("/{id}/looks")
  SeriesLook lookAtNews(@PathVariable long id, @RequestBody SeriesGiven given) {
    return desk.look(id, given);
  }

  /** From now on it goes by itself. */
  @PutMapping("/{id}/on")
  SeriesView turnNewsOn(@PathVariable long id, @RequestBody SeriesGo go) {
    return desk.turnOn(id, go);
  }

  @DeleteMapping("/{id}/on")
  SeriesView turnNewsOff(@PathVariable long id) {
    return news.turnOff(id);
  }

  /** The next issue is left out, or comes after all. */
  @PutMapping("/{id}/skip")
  SeriesView skipNewsIssue(@PathVariable long id, @RequestBody SeriesSkip order) {
    return news.skip(id, order.skips());
  }

  /** What is new goes out now. */
  @PostMapping("/{id}/issues")
  SeriesView sendNewsEarly(@PathVariable long id, @RequestBody SeriesGo go) {
    return desk.sendEarly(id, go);
  }

  /** Puts it away. */
  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void putNewsAway(@PathVariable long id) {
    news.putAway(id);
  }
}
