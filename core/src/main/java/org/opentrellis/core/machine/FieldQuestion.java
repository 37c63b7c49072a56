package org.opentrellis.core.machine;

/** A field against a value. */
record FieldQuestion(int field, Comparison comparison) implements Question {
  @Override
  public int about() {
    return Evidence.RECORD;
  }

  @Override
  public boolean holds(Visit visit, long at) {
    return comparison.holds(visit.person.field(field), visit.person, visit.clock, at);
  }

  @Override
  public boolean followsTheCalendar() {
    return comparison.followsTheCalendar();
  }

  @Override
  public long nextChange(Visit visit, long at) {
    return visit.person.field(field) == null
        ? Person.NEVER
        : comparison.nextChange(visit.clock, at);
  }
}
