package org.opentrellis.app.live;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * What runs now. Moments are epoch seconds.
 *
 * @param journeys that are open, closing, or have somebody inside
 * @param happenings the last ones, the newest first
 * @param mail how much of it waits, and what is late or was refused
 * @param putOff those whose turn has failed
 * @param notices what the team was told last
 */
record GlasshouseView(
    ClockView clock,
    List<OpenJourney> journeys,
    List<LoggedLine> happenings,
    Mail mail,
    List<StuckPerson> putOff,
    List<ToldTeam> notices) {

  /**
   * Somebody whose turn fails.
   *
   * @param tries how often it has
   * @param tryAt when it is tried again
   */
  record StuckPerson(long person, String who, int tries, long tryAt, String said) {}

  /**
   * A journey with people inside.
   *
   * @param newsletter whether it is one, and no journey
   * @param since when it has been open without a break; null if nobody can enter
   * @param atSteps how many stand at each step
   */
  record OpenJourney(
      long id,
      String name,
      boolean newsletter,
      @Nullable Long since,
      long entered,
      long inside,
      long finished,
      long left,
      Map<String, Long> atSteps) {}

  /**
   * A line of the log.
   *
   * @param person whose name or address is {@code who}; who was forgotten has none
   * @param journey it belongs to, if any
   */
  record LoggedLine(
      long at,
      long person,
      String who,
      @Nullable Long journey,
      @Nullable String journeyName,
      @Nullable String step,
      String sentence) {}

  /**
   * @param waiting messages that are to go out
   * @param sentAgain how many may have gone out twice, since a crash came in between
   * @param leavesTo the server that mail leaves this machine to; null if it stays here
   */
  record Mail(
      long waiting, long sentAgain, List<MailTrouble> troubles, @Nullable String leavesTo) {}

  /**
   * A message that is late or was refused.
   *
   * @param tryAt when it is tried again; null if it is not
   */
  record MailTrouble(
      long outbox,
      long person,
      String who,
      String message,
      long dueAt,
      int tries,
      @Nullable Long tryAt,
      @Nullable String said) {}

  /**
   * What the team was told of somebody.
   *
   * @param by the journey or form that told it
   * @param hook what a web address is sent, as JSON; null if a teammate is told
   */
  record ToldTeam(
      long at,
      long person,
      String who,
      String by,
      String to,
      String words,
      @Nullable String hook) {}
}
