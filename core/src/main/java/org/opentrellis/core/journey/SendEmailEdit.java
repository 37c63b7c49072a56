package org.opentrellis.core.journey;

import java.util.List;
import java.util.Optional;
import org.opentrellis.core.calendar.SendWindow;

/** An email step with some of it exchanged: {@code email.edit().untracked(true).done()}. */
public final class SendEmailEdit {
  private StepId id;
  private MessageId message;
  private Optional<String> subject;
  private Optional<String> preview;
  private Optional<String> sender;
  private List<Variant> variants;
  private Optional<Condition> onlyIf;
  private boolean oncePerPerson;
  private boolean untracked;
  private boolean linkParameters;
  private Optional<SendWindow> window;

  SendEmailEdit(Step.SendEmail from) {
    id = from.id();
    message = from.message();
    subject = from.subject();
    preview = from.preview();
    sender = from.sender();
    variants = from.variants();
    onlyIf = from.onlyIf();
    oncePerPerson = from.oncePerPerson();
    untracked = from.untracked();
    linkParameters = from.linkParameters();
    window = from.window();
  }

  public SendEmailEdit id(StepId other) {
    id = other;
    return this;
  }

  public SendEmailEdit message(MessageId other) {
    message = other;
    return this;
  }

  public SendEmailEdit subject(Optional<String> other) {
    subject = other;
    return this;
  }

  public SendEmailEdit preview(Optional<String> other) {
    preview = other;
    return this;
  }

  public SendEmailEdit sender(Optional<String> other) {
    sender = other;
    return this;
  }

  public SendEmailEdit variants(List<Variant> other) {
    variants = other;
    return this;
  }

  public SendEmailEdit onlyIf(Optional<Condition> other) {
    onlyIf = other;
    return this;
  }

  public SendEmailEdit oncePerPerson(boolean other) {
    oncePerPerson = other;
    return this;
  }

  public SendEmailEdit untracked(boolean other) {
    untracked = other;
    return this;
  }

  public SendEmailEdit linkParameters(boolean other) {
    linkParameters = other;
    return this;
  }

  public SendEmailEdit window(Optional<SendWindow> other) {
    window = other;
    return this;
  }

  public Step.SendEmail done() {
    return new Step.SendEmail(
        id,
        message,
        subject,
        preview,
        sender,
        variants,
        onlyIf,
        oncePerPerson,
        untracked,
        linkParameters,
        window);
  }
}
