package org.opentrellis.app.letters;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A message as somebody sees it.
 *
 * @param called who that is
 * @param from the name that the inbox shows
 * @param html for an email; the part of number n has the class {@code part-n}
 * @param parts the ids of the parts by their numbers
 * @param bytes of the HTML as it is sent
 * @param text what is to be known of a text; null for an email
 */
record ProofView(
    String called,
    String from,
    String fromAddress,
    String subject,
    String preview,
    String html,
    String plain,
    List<String> parts,
    List<ProofPassage> passages,
    int bytes,
    @Nullable ProofText text) {

  /**
   * What a text takes.
   *
   * @param segments for them
   * @param most segments with the longest values that anybody has
   * @param price of the most, in the account's currency; null if a segment's is not known
   * @param stop what is put at its end, which is part of the plain text
   */
  record ProofText(int segments, int most, @Nullable String price, String stop) {}

  /**
   * @param why whom it is for, in words
   */
  record ProofPassage(String part, boolean holds, String why) {}
}
