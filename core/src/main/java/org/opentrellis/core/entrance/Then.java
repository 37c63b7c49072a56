package org.opentrellis.core.entrance;

import java.util.List;
import org.opentrellis.core.message.Part;

/** What whoever signed up sees then. */
public sealed interface Then permits Then.Words, Then.Page, Then.Address {

  record Words(String words) implements Then {
    public Words {
      words = Entrance.line("what is shown then", words, 1_000);
    }
  }

  record Page(List<Part> parts) implements Then {
    public Page {
      parts = List.copyOf(parts);
    }
  }

  /** Another address of the web. */
  record Address(String url) implements Then {
    public Address {
      url = Entrance.line("a web address", url, 2_000).strip();
    }
  }
}
