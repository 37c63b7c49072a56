package org.opentrellis.core.journey;

/** What a message consists of; an email's layout comes later. */
public sealed interface MessageContent permits MessageContent.Email, MessageContent.Text {

  /** How it reaches people. */
  default Channel channel() {
    return switch (this) {
      case Email email -> Channel.EMAIL;
      case Text text -> Channel.TEXT;
    };
  }

  /**
   * @param subject at most 200 characters
   */
  record Email(String subject) implements MessageContent {
    public Email {
      subject = org.opentrellis.core.journey.Text.named("a subject", subject, 200);
    }
  }

  /**
   * A text message.
   *
   * @param words at most 1000 characters
   */
  record Text(String words) implements MessageContent {
    public Text {
      words = org.opentrellis.core.journey.Text.named("a text", words, 1000);
    }
  }
}
