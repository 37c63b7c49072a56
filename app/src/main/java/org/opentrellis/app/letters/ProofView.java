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
 * @param segments of a text, by what it is for them
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
    @Nullable Integer segments) {

  /**
   * @param why whom it is for, in words
   */
  record ProofPassage(String part, boolean holds, String why) {}
}
