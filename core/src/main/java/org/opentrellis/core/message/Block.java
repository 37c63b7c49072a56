package org.opentrellis.core.message;

import java.util.List;
import java.util.stream.Stream;

/** What a text is made of. */
public sealed interface Block permits Block.Paragraph, Block.Heading, Block.Items {

  record Paragraph(List<Inline> words) implements Block {
    public Paragraph {
      words = List.copyOf(words);
    }
  }

  /**
   * @param level 1 for the largest, to 3
   */
  record Heading(int level, List<Inline> words) implements Block {
    public Heading {
      level = Limits.within("a heading's level", level, 1, 3);
      words = List.copyOf(words);
    }
  }

  /** A list with points or numbers. */
  record Items(boolean numbered, List<Item> items) implements Block {
    public Items {
      items = List.copyOf(items);
    }
  }

  record Item(List<Inline> words) {
    public Item {
      words = List.copyOf(words);
    }
  }

  /** Its lines, in order. */
  default Stream<List<Inline>> lines() {
    return switch (this) {
      case Paragraph paragraph -> Stream.of(paragraph.words());
      case Heading heading -> Stream.of(heading.words());
      case Items list -> list.items().stream().map(Item::words);
    };
  }

  static Block paragraph(String text) {
    return new Paragraph(OneLine.of(text).words());
  }
}
