package org.opentrellis.core.measure;

import java.util.ArrayList;
import java.util.List;
import org.opentrellis.core.dryrun.EmailTally;

/**
 * How one email did. Common practice, no source: delivered = sent - bounced; open rate = unique
 * opens / delivered; click rate = unique clicks / delivered; click-to-open = clickers / openers.
 *
 * @param delivered of sent
 * @param opened recorded opens, machine pre-loads included, of delivered
 * @param openedByPeople opens by people of delivered
 * @param clicked of delivered
 * @param clickToOpen clickers of recorded opens, so that click rate = open rate x click-to-open
 * @param links clicks by link of delivered, in the message's order
 */
public record EmailMeasures(
    Share delivered,
    Share opened,
    Share openedByPeople,
    Share clicked,
    Share clickToOpen,
    List<Share> links) {

  static EmailMeasures of(EmailTally tally) {
    List<Share> links = new ArrayList<>();
    for (long clicks : tally.byLink()) {
      links.add(Share.of(clicks, tally.delivered()));
    }
    return new EmailMeasures(
        Share.of(tally.delivered(), tally.sent()),
        Share.of(tally.opened(), tally.delivered()),
        Share.of(tally.openedByPeople(), tally.delivered()),
        Share.of(tally.clicked(), tally.delivered()),
        Share.of(tally.clicked(), tally.opened()),
        links);
  }
}
