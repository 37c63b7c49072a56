package org.opentrellis.core.journey;

/** What to do at a wait whose moment is past. */
public sealed interface IfPast permits IfPast.GoOn, IfPast.SkipTo, IfPast.End {

  record GoOn() implements IfPast {}

  /**
   * Goes on at a step further down.
   *
   * @param step stands after the wait, in its sequence or behind a branch that it is in
   */
  record SkipTo(StepId step) implements IfPast {}

  record End() implements IfPast {}
}
