package org.opentrellis.core.entrance;

import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.message.Limits;

/** Something that a form asks besides the address, which it always asks. */
public sealed interface Asked
    permits Asked.FirstName, Asked.LastName, Asked.Phone, Asked.Texts, Asked.Field {

  /** Whether nobody gets in without it. */
  boolean required();

  record FirstName(boolean required) implements Asked {}

  record LastName(boolean required) implements Asked {}

  /** A number (E.164) that texts can go to. */
  record Phone(boolean required) implements Asked {}

  /**
   * Whether they agree to texts.
   *
   * @param words what they agree to, word for word
   */
  record Texts(String words) implements Asked {
    public Texts {
      words = Limits.line("what people agree to", words, Entrance.LONGEST_AGREEMENT);
    }

    /** Nobody has to agree. */
    @Override
    public boolean required() {
      return false;
    }
  }

  /**
   * A field of the record.
   *
   * @param words what the form calls it; empty for the field's own name
   */
  record Field(FieldName field, String words, boolean required) implements Asked {
    public Field {
      words = Limits.line("a question", words, 200);
    }
  }
}
