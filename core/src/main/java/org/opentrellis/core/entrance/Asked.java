package org.opentrellis.core.entrance;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.message.Limits;
import org.opentrellis.core.problem.Refused;

/** Something that a form asks besides the address, which it always asks. */
public sealed interface Asked
    permits Asked.FirstName, Asked.LastName, Asked.Phone, Asked.Texts, Asked.Field {

  /** So many things can be asked. */
  int MOST = 30;

  /**
   * A form's questions.
   *
   * @throws Refused if there are too many, or one is asked twice
   */
  static List<Asked> once(List<Asked> asks) {
    if (asks.size() > MOST) {
      throw new Refused("a form asks at most %d things".formatted(MOST));
    }
    Set<Object> asked = new HashSet<>();
    for (Asked one : asks) {
      Object what = one instanceof Field field ? field.field() : one.getClass();
      if (!asked.add(what)) {
        throw new Refused("the form asks the same thing twice");
      }
    }
    return List.copyOf(asks);
  }

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
