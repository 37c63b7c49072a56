package org.opentrellis.app.journeys;

/** What something that runs on the journey machine is to its users. */
public enum JourneyKind {
  JOURNEY("a journey"),
  NEWSLETTER("a newsletter"),
  RULE("a standing rule");

  private final String words;

  JourneyKind(String words) {
    this.words = words;
  }

  String words() {
    return words;
  }
}
