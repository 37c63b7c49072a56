package org.opentrellis.core.message;

import java.util.Optional;

/** What a line of text is made of. */
public sealed interface Inline permits Inline.Words, Inline.Field, Inline.Break {

  /**
   * Words that look alike.
   *
   * @param text at most 10,000 characters, spaces at its ends included
   * @param link if they are one
   */
  record Words(String text, boolean bold, boolean italic, Optional<Link> link) implements Inline {
    private static final int LONGEST = 10_000;

    public Words {
      text = Limits.line("a text", text, LONGEST);
    }

    public static Words plain(String text) {
      return new Words(text, false, false, Optional.empty());
    }
  }

  /** What is each person's own. */
  record Field(MergeField field, boolean bold, boolean italic, Optional<Link> link)
      implements Inline {
    public static Field plain(MergeField field) {
      return new Field(field, false, false, Optional.empty());
    }
  }

  /** The text goes on in the next line. */
  record Break() implements Inline {}

  /** The link that it is part of. */
  default Optional<Link> isLink() {
    return switch (this) {
      case Words words -> words.link();
      case Field field -> field.link();
      case Break end -> Optional.empty();
    };
  }
}
