package org.opentrellis.app.account;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The account as a user writes it down.
 *
 * @param name of the company or person that writes; stands in every footer
 * @param postalAddress of the same, with its lines
 * @param zone of those of whom none is known
 * @param language in which dates and amounts are written, as a tag (BCP 47)
 * @param currency three letters (ISO 4217)
 * @param senders who emails come from, the usual one first
 * @param quietHours between which nothing is sent, by each person's own time; null for none
 * @param monthlyQuota emails a month at most; null for no limit
 * @param segmentPrice what a segment of a text costs; null if that is not known
 * @param emailsPerWeek how many one person may get within seven days before it is told
 * @param textSender what texts come from: a number or at most eleven letters and digits; empty
 *     until it is said
 * @param textStop how to get no more texts, as it stands at the end of each; may be empty
 * @param version the one that it was read at
 */
public record AccountOrder(
    String name,
    String postalAddress,
    String zone,
    String language,
    String currency,
    List<SenderPart> senders,
    @Nullable QuietPart quietHours,
    @Nullable Long monthlyQuota,
    @Nullable Double segmentPrice,
    int emailsPerWeek,
    String textSender,
    String textStop,
    int version) {

  /**
   * @param answersTo where answers go; null for the address itself
   */
  public record SenderPart(String name, String address, @Nullable String answersTo) {}

  /** Both as 21:00. */
  public record QuietPart(String from, String to) {}
}
