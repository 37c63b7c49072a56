package org.opentrellis.core.machine;

import org.opentrellis.core.journey.Operand;

/** A compiled change of a person's record. */
sealed interface RecordEdit {

  /** Does it, at a moment. */
  void apply(Person person, long at);

  /** A tag or list is set or cleared. */
  record SetMark(int mark, boolean on) implements RecordEdit {
    @Override
    public void apply(Person person, long at) {
      boolean isNew = on && !person.isMarked(mark);
      person.mark(mark, on);
      if (isNew) {
        person.reactions.toMark(person, mark, at);
      }
    }
  }

  record SetField(int field, Operand value) implements RecordEdit {
    @Override
    public void apply(Person person, long at) {
      Operand kept =
          value instanceof Operand.Today today
              ? new Operand.Date(person.clock.date(at).plusDays(today.plusDays()))
              : value;
      person.field(field, kept);
    }
  }

  record ClearField(int field) implements RecordEdit {
    @Override
    public void apply(Person person, long at) {
      person.field(field, null);
    }
  }

  /** What is no number counts as 0. */
  record AddToField(int field, double number) implements RecordEdit {
    @Override
    public void apply(Person person, long at) {
      double before = person.field(field) instanceof Operand.Number has ? has.number() : 0;
      double after = before + number;
      if (Double.isFinite(after)) {
        person.field(field, new Operand.Number(after));
      }
    }
  }

  record Unsubscribe() implements RecordEdit {
    @Override
    public void apply(Person person, long at) {
      person.unsubscribes(at);
    }
  }

  record Erase() implements RecordEdit {
    @Override
    public void apply(Person person, long at) {
      person.isErased(at);
    }
  }
}
