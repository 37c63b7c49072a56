package org.opentrellis.app.newsletters;

import java.util.List;
import org.opentrellis.app.newsletters.NewsletterOrders.NewNewsletter;
import org.opentrellis.app.newsletters.NewsletterOrders.NewsletterDraft;
import org.opentrellis.app.newsletters.NewsletterOrders.NewsletterGiven;
import org.opentrellis.app.newsletters.NewsletterOrders.NewsletterMove;
import org.opentrellis.app.newsletters.NewsletterOrders.NewsletterPlan;
import org.opentrellis.app.newsletters.NewsletterOrders.NewsletterRun;
import org.opentrellis.app.newsletters.NewsletterViews.NewsletterLine;
import org.opentrellis.app.newsletters.NewsletterViews.NewsletterLook;
import org.opentrellis.app.newsletters.NewsletterViews.NewsletterView;
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
@RequestMapping("/api/newsletters")
class NewsletterController {
  private final Newsletters newsletters;

  NewsletterController(Newsletters newsletters) {
    this.newsletters = newsletters;
  }

  /** What is still to go first, in the order of time; then what has gone, the latest first. */
  @GetMapping
  List<NewsletterLine> listNewsletters() {
    return newsletters.list();
  }

  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  NewsletterView addNewsletter(@RequestBody NewNewsletter asked) {
    return newsletters.add(asked.name());
  }

  /** How a newsletter would be that is being changed; nothing is kept. */
  @PostMapping("/looks")
  NewsletterLook lookAtNewsletter(@RequestBody NewsletterGiven given) {
    return newsletters.look(given.newsletter());
  }

  @GetMapping("/{id}")
  NewsletterView getNewsletter(@PathVariable long id) {
    return newsletters.view(id);
  }

  @PutMapping("/{id}")
  NewsletterView saveNewsletter(@PathVariable long id, @RequestBody NewsletterDraft draft) {
    return newsletters.save(id, draft);
  }

  /** It goes out when it says, or now. */
  @PutMapping("/{id}/plan")
  NewsletterView planNewsletter(@PathVariable long id, @RequestBody NewsletterPlan order) {
    return newsletters.plan(id, order);
  }

  /** It goes out at another time. */
  @PutMapping("/{id}/moment")
  NewsletterView moveNewsletter(@PathVariable long id, @RequestBody NewsletterMove move) {
    return newsletters.move(id, move);
  }

  /** What has not gone yet does not go. */
  @DeleteMapping("/{id}/plan")
  NewsletterView callNewsletterBack(@PathVariable long id) {
    return newsletters.callBack(id);
  }

  @PostMapping("/{id}/copies")
  @ResponseStatus(HttpStatus.CREATED)
  NewsletterView copyNewsletter(@PathVariable long id) {
    return newsletters.copy(id);
  }

  /** More like it, one after another, as drafts. */
  @PostMapping("/{id}/runs")
  @ResponseStatus(HttpStatus.CREATED)
  List<NewsletterLine> addNewsletterRun(@PathVariable long id, @RequestBody NewsletterRun order) {
    return newsletters.run(id, order);
  }

  /** Puts it away. */
  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void putNewsletterAway(@PathVariable long id) {
    newsletters.putAway(id);
  }
}
