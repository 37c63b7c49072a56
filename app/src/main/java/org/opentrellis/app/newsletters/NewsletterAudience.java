package org.opentrellis.app.newsletters;

import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import java.time.Duration;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.app.live.Audiences;
import org.opentrellis.app.live.InsideJourneys;
import org.opentrellis.app.people.Mailable;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.newsletter.Newsletter;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** To whom newsletters go, as people are now. */
@Component
@Transactional(readOnly = true)
public class NewsletterAudience implements Audiences {
  private final NewsletterMapper mapper;
  private final Mailable people;
  private final InsideJourneys inside;
  private final Journeys journeys;

  /** What was known is told at once, and looked up again for the next who asks. */
  private final LoadingCache<Optional<Condition>, BitSet> lately =
      Caffeine.newBuilder()
          .maximumSize(300)
          .refreshAfterWrite(Duration.ofSeconds(20))
          .expireAfterWrite(Duration.ofMinutes(5))
          .build(this::meant);

  NewsletterAudience(
      NewsletterMapper mapper, Mailable people, InsideJourneys inside, Journeys journeys) {
    this.mapper = mapper;
    this.people = people;
    this.inside = inside;
    this.journeys = journeys;
  }

  @Override
  public boolean isOne(long journey) {
    return mapper.find(journey).isPresent();
  }

  @Override
  public Optional<BitSet> of(long journey) {
    return mapper.find(journey).map(row -> of(row.newsletter()));
  }

  /** By their numbers, as of now. */
  public BitSet of(Newsletter newsletter) {
    return but(newsletter, meant(newsletter.meant()));
  }

  /** The same as of lately, where many are asked about. */
  public BitSet lately(Newsletter newsletter) {
    BitSet those = lately.get(newsletter.meant());
    return newsletter.notInside().isEmpty() ? those : but(newsletter, (BitSet) those.clone());
  }

  /** To how many of them texts may be sent. */
  int agreedToTexts(Newsletter newsletter) {
    return people.agreedToTexts(of(newsletter));
  }

  private BitSet meant(Optional<Condition> who) {
    return who.map(people::meant).orElseGet(people::all);
  }

  private BitSet but(Newsletter newsletter, BitSet those) {
    those.andNot(inside.ofAny(numbers(newsletter.notInside())));
    return those;
  }

  private List<Long> numbers(List<JourneyName> names) {
    return journeys.names().stream()
        .filter(one -> names.contains(new JourneyName(one.name())))
        .map(Journeys.Named::id)
        .toList();
  }
}
