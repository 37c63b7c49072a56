package org.opentrellis.core.machine;

/**
 * What became of several of the last messages.
 *
 * @param each asked of any of the last ones
 * @param atLeast for how many of them it must hold
 */
record OftenQuestion(EmailQuestion each, int atLeast) implements Question {
  @Override
  public int about() {
    return each.about();
  }

  @Override
  public boolean holds(Visit visit, long at) {
    int count = 0;
    for (int n = each.firstThatCounts(visit); n < visit.sends(); n++) {
      count += each.moment(visit, visit.sentInOrder(n)) <= at ? 1 : 0;
    }
    return count >= atLeast;
  }

  @Override
  public long nextChange(Visit visit, long at) {
    return each.nextChange(visit, at);
  }
}
