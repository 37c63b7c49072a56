package org.opentrellis.core.compare;

import java.util.function.Function;
import org.opentrellis.core.dryrun.PairedSends.Count;
import org.opentrellis.core.measure.EmailMeasures;
import org.opentrellis.core.measure.Share;
import org.opentrellis.core.measure.StepMeasures;

/** What of a message is compared. Common practice, no source, for what each rate is of. */
public enum Compared {
  OPENED("opened", Count.OPENED, Count.DELIVERED, EmailMeasures::opened),
  OPENED_BY_PEOPLE(
      "opened by people", Count.OPENED_BY_PEOPLE, Count.DELIVERED, EmailMeasures::openedByPeople),
  CLICKED("clicked", Count.CLICKED, Count.DELIVERED, EmailMeasures::clicked),
  CLICK_TO_OPEN("clicked of opened", Count.CLICKED, Count.OPENED, EmailMeasures::clickToOpen),
  REACHED("reached", Count.REACHED, Count.ENTERED, null),
  UNSUBSCRIBED("unsubscribed", Count.UNSUBSCRIBED, Count.DELIVERED, EmailMeasures::unsubscribed),
  BOUGHT("bought by it", Count.BOUGHT, Count.DELIVERED, EmailMeasures::buyers);

  private final String words;
  final Count of;
  final Count among;

  @org.jspecify.annotations.Nullable private final Function<EmailMeasures, Share> share;

  Compared(
      String words,
      Count of,
      Count among,
      @org.jspecify.annotations.Nullable Function<EmailMeasures, Share> share) {
    this.words = words;
    this.of = of;
    this.among = among;
    this.share = share;
  }

  /** In a few words, as in "38% opened". */
  public String words() {
    return words;
  }

  Share of(StepMeasures step) {
    EmailMeasures email = step.email();
    return share == null || email == null ? step.reach() : share.apply(email);
  }
}
