package org.opentrellis.app.tryouts;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A journey that can be tried on oneself. Moments are epoch seconds.
 *
 * @param triggers what can bring somebody in, in the journey's order
 * @param products what can be bought
 * @param run null if nobody tries it just now
 */
record TryoutView(
    String journey, List<String> triggers, List<String> products, @Nullable TryoutRun run) {

  /**
   * How far it is.
   *
   * @param outdated whether the journey was saved since it began
   * @param now to which its clock has been turned
   * @param next when something is due next; null if nothing is
   * @param done how many things were done
   * @param over whether they are through, have left, or never got in
   * @param at the step that they stand at; null if they stand at none
   * @param why what they wait for, in words
   * @param waits whether they wait, and can skip it
   * @param carries the lists and tags that they have now
   * @param happened what happened, the last first
   * @param mails what was sent to them, the last first
   */
  record TryoutRun(
      TryoutOrders.TryoutWho who,
      boolean outdated,
      long begun,
      long now,
      @Nullable Long next,
      int done,
      boolean over,
      @Nullable String at,
      @Nullable String why,
      boolean waits,
      List<String> carries,
      List<String> route,
      List<TryoutLine> happened,
      List<TryoutMail> mails) {}

  record TryoutLine(long at, @Nullable String step, String sentence) {}

  /**
   * A message as it reached them.
   *
   * @param number of it among all that were sent, from 0
   * @param html empty for a text
   * @param links what can be clicked in it
   * @param opened whether they have
   * @param clicked the links that they have
   * @param fault why it could not be written; null if it could
   */
  record TryoutMail(
      int number,
      long at,
      String step,
      String name,
      boolean text,
      String from,
      String subject,
      String preview,
      String html,
      String plain,
      List<String> links,
      boolean opened,
      List<String> clicked,
      @Nullable String fault) {}
}
