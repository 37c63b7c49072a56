package org.opentrellis.core.behaviour;

import java.time.ZoneId;
import java.util.Set;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.TagName;

/**
 * A part of the audience whose people behave alike.
 *
 * @param name for the user
 * @param share of the people, in [0, 1]; the shares of all groups add up to 1
 * @param zone where they live
 * @param preloads share whose mail program loads images by itself, which records an open
 * @param hardBounce share whose address is dead
 * @param softBounce chance that one email is not delivered this time
 * @param buysAnyway chance to buy within 30 days without any email
 * @param comesAgain chance to trigger the journey once more within 30 days
 * @param tags what they carry when they come
 * @param lists what they are on when they come
 */
public record AudienceGroup(
    String name,
    double share,
    Keenness keenness,
    ZoneId zone,
    Assumed preloads,
    Assumed hardBounce,
    Assumed softBounce,
    Assumed buysAnyway,
    Assumed comesAgain,
    Set<TagName> tags,
    Set<ListName> lists) {
  public AudienceGroup {
    if (name.isBlank()) {
      throw new IllegalArgumentException("an audience group needs a name");
    }
    if (!(share >= 0 && share <= 1)) {
      throw new IllegalArgumentException("a group's share must be 0 to 1, not " + share);
    }
    preloads.share("the share that pre-loads images");
    hardBounce.share("the share of dead addresses");
    softBounce.share("the chance of a soft bounce");
    below1(buysAnyway.share("the chance to buy anyway"));
    below1(comesAgain.share("the chance to come again"));
    tags = Set.copyOf(tags);
    lists = Set.copyOf(lists);
  }

  private static void below1(Assumed chance) {
    if (chance.value() > 0.99) {
      throw new IllegalArgumentException(
          "a chance within 30 days must be at most 0.99, not " + chance.value());
    }
  }
}
