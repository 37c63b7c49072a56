package org.opentrellis.app.demo;

import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.clock.AccountClock;
import org.opentrellis.app.messages.MessageLibrary;
import org.opentrellis.app.messages.Written;
import org.opentrellis.app.news.NewsDesk;
import org.opentrellis.app.news.NewsOnRhythm;
import org.opentrellis.app.site.SiteNews;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.news.NewsSeries;
import org.opentrellis.core.news.Rhythm;
import org.opentrellis.core.newsletter.Newsletter;
import org.opentrellis.core.newsletter.Readers;
import org.springframework.stereotype.Component;

/** News of the hive, week by week, with what is posted on the site meanwhile. */
@Component
class DemoNews {
  private static final MessageId WEEK = new MessageId("week-at-the-hive");
  private static final LocalTime MORNING = LocalTime.of(7, 30);

  /** What is posted, so many days before today, in the order of time. */
  private static final List<Post> POSTS =
      List.of(
          new Post(
              18,
              "Frost on the stand",
              "The first white morning. The bees sit close together and hum; we only looked, and left the lids on."),
          new Post(
              15,
              "The kits are lighter now",
              "A new floor takes four kilos off. Whoever ordered last week gets the new one."),
          new Post(
              11,
              "What we pay for sugar",
              "It went up again. We write down what a winter costs us, hive by hive, so that you can reckon with it."),
          new Post(
              6,
              "A keeper of eighty years",
              "He has forty hives and no smoker. We asked him why, and he asked us back."),
          new Post(
              2,
              "Wax is melted on Saturday",
              "Bring your old frames to the stand before noon. There is tea, and you take your wax home."),
          new Post(
              1,
              "The extractor is back",
              "It was away for new bearings. From now on it can be borrowed by the hour again."));

  private record Post(int daysAgo, String title, String words) {}

  private final DemoLetters letters;
  private final MessageLibrary messages;
  private final SiteNews site;
  private final NewsOnRhythm news;
  private final NewsDesk desk;
  private final Account account;
  private final AccountClock clock;

  DemoNews(
      DemoLetters letters,
      MessageLibrary messages,
      SiteNews site,
      NewsOnRhythm news,
      NewsDesk desk,
      Account account,
      AccountClock clock) {
    this.letters = letters;
    this.messages = messages;
    this.site = site;
    this.news = news;
    this.desk = desk;
    this.account = account;
    this.clock = clock;
  }

  /** Lays it so that the last issue goes three days before the end of so many days. */
  void lay(int days) {
    LocalDate today = LocalDate.ofInstant(clock.instant(), account.zone()).plusDays(days);
    for (Post post : POSTS) {
      site.post(
          post.title(),
          post.words(),
          today.minusDays(post.daysAgo()).atTime(10, 0).atZone(account.zone()).toInstant());
    }
    messages.keep(
        new Written(WEEK, "The week at the hive", List.of(), letters.read().get(WEEK), null));
    Newsletter letter =
        Newsletter.begun("The week at the hive")
            .sending(WEEK)
            .to(new Readers.Those(new Condition.OnList(new ListName("Members"))));
    long id =
        news.keep(
            new NewsSeries(
                letter,
                NewsSeries.SITE,
                new Rhythm.Weekly(today.minusDays(3).getDayOfWeek(), MORNING)));
    desk.turnOn(id);
  }
}
