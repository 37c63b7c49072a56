package org.opentrellis.core.journey;

import org.opentrellis.core.problem.Refused;

/** Who is told, and what. */
public sealed interface Notice permits Notice.Teammate, Notice.WebAddress {

  /**
   * @param to a teammate's name
   */
  record Teammate(String to, String text) implements Notice {
    public Teammate {
      to = Text.named("a teammate's name", to, 80);
      text = Text.named("a notice", text, 500);
    }
  }

  /**
   * @param url http or https
   */
  record WebAddress(String url) implements Notice {
    public WebAddress {
      url = Text.named("a web address", url, 500);
      if (!url.startsWith("http://") && !url.startsWith("https://")) {
        throw new Refused("a web address starts with http:// or https://, not " + url);
      }
    }
  }
}
