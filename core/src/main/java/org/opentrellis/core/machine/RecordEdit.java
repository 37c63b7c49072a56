package org.opentrellis.core.machine;

import org.opentrellis.core.journey.Operand;

/** A compiled change of a person's record. */
sealed interface RecordEdit {

  /** Does it, at a moment. */
  void apply(Person person, long at);

  /** A tag or list is set or cleared. */
  record SetLabel(int label, boolean on) implements RecordEdit {
    @Override
    public void apply(Person person, long at) {
      person.changesLabel(label, on, at);
    }
  }

  /**
   * @param otherField the number of the field that the value means, or -1
   */
  record SetField(int field, Operand value, int otherField) implements RecordEdit {
    @Override
    public void apply(Person person, long at) {
      Operand kept =
          switch (value) {
            case Operand.Today today ->
                new Operand.Date(person.clock.date(at).plusDays(today.plusDays()));
            case Operand.OtherField other -> person.field(otherField);
            case Operand.Words words -> words;
            case Operand.Number number -> number;
            case Operand.Date date -> date;
          };
      person.changesField(field, kept, at);
    }
  }

  record ClearField(int field) implements RecordEdit {
    @Override
    public void apply(Person person, long at) {
      person.changesField(field, null, at);
    }
  }

  /** What is no number counts as 0. */
  record AddToField(int field, double number) implements RecordEdit {
    @Override
    public void apply(Person person, long at) {
      double before = person.field(field) instanceof Operand.Number has ? has.number() : 0;
      double after = before + number;
      if (Double.isFinite(after)) {
        person.changesField(field, new Operand.Number(after), at);
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
