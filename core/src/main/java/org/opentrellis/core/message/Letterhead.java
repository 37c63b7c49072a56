package org.opentrellis.core.message;

import org.opentrellis.core.account.Regional;

/**
 * What stands around every letter.
 *
 * @param account who writes
 * @param postalAddress which the law of many countries asks for; may have several lines
 * @param style how the house looks
 */
public record Letterhead(
    String account, String postalAddress, Regional regional, HouseStyle style) {
  /** What is said at the end of every letter. */
  public static final String CHOICES = "Your choices";

  public static final String UNSUBSCRIBE = "Unsubscribe";
}
