package org.opentrellis.core.measure;

import java.util.ArrayList;
import java.util.List;
import org.opentrellis.core.dryrun.EmailTally;
import org.opentrellis.core.journey.Message;

/**
 * How one message did. Common practice, no source: delivered = sent - bounced; open rate = unique
 * opens / delivered; click rate = unique clicks / delivered; click-to-open = clickers / openers.
 *
 * @param delivered of sent
 * @param opened recorded opens, machine pre-loads included, of delivered; of none where nobody
 *     records them, as of a text
 * @param openedByPeople opens by people of delivered; of none for a text
 * @param clicked of delivered
 * @param clickToOpen clickers of recorded opens, so that click rate = open rate x click-to-open;
 *     none where opens are not recorded
 * @param links clicks by link of delivered, in the message's order; of all variants together where
 *     they have the same links, else of the first
 * @param variants how many got each variant, of sent; one if there is but one version
 * @param unsubscribed people who unsubscribed because of it, of delivered
 * @param afterGoal sent to people who had met the goal before, of sent
 * @param buyers people who bought because of a click, of delivered
 * @param revenueCents what those spent
 */
public record EmailMeasures(
    Share delivered,
    Share opened,
    Share openedByPeople,
    Share clicked,
    Share clickToOpen,
    List<Share> links,
    List<Share> variants,
    Share unsubscribed,
    Share afterGoal,
    Share buyers,
    long revenueCents) {

  static EmailMeasures of(EmailTally tally, List<Message> versions, boolean tracked) {
    List<Share> links = new ArrayList<>();
    for (int link = 0; link < versions.get(0).links().size(); link++) {
      long clicks = 0;
      for (int variant = 0; variant < versions.size(); variant++) {
        boolean same = versions.get(variant).links().equals(versions.get(0).links());
        clicks += same ? tally.byLink(variant)[link] : 0;
      }
      links.add(Share.of(clicks, tally.delivered()));
    }
    List<Share> variants = new ArrayList<>();
    for (long sent : tally.byVariant()) {
      variants.add(Share.of(sent, tally.sent()));
    }
    return new EmailMeasures(
        Share.of(tally.delivered(), tally.sent()),
        tracked ? Share.of(tally.opened(), tally.delivered()) : Share.of(0, 0),
        tracked || tally.openedByPeople() > 0
            ? Share.of(tally.openedByPeople(), tally.delivered())
            : Share.of(0, 0),
        Share.of(tally.clicked(), tally.delivered()),
        tracked ? Share.of(tally.clicked(), tally.opened()) : Share.of(0, 0),
        links,
        variants,
        Share.of(tally.unsubscribed(), tally.delivered()),
        Share.of(tally.afterGoal(), tally.sent()),
        Share.of(tally.buyers(), tally.delivered()),
        tally.revenueCents());
  }
}
