package org.opentrellis.app.people;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.names.NameKind;
import org.opentrellis.core.people.HowOften;
import org.opentrellis.core.people.Mailing;

/**
 * A person with what is known of them; moments are epoch seconds.
 *
 * @param mailingWords the words that were agreed to, if they are known
 * @param labels the lists that they are on and the tags that they carry
 * @param story what happened to them, the last first
 * @param lastEdit the act by which they were changed by hand last, which can be taken back
 */
record PersonView(
    long id,
    int version,
    String address,
    @Nullable String firstName,
    @Nullable String lastName,
    @Nullable String phone,
    String zone,
    Mailing mailing,
    long mailingSince,
    String mailingHow,
    @Nullable String mailingWords,
    boolean texts,
    @Nullable Long textsSince,
    @Nullable String textsHow,
    String source,
    long cameAt,
    HowOften howOften,
    List<Label> labels,
    List<Value> fields,
    List<Happened> story,
    @Nullable Long lastEdit) {

  /**
   * @param how what brought them there
   */
  record Label(NameKind kind, String name, long since, String how) {}

  record Value(String field, String value) {}

  record Happened(long at, String sentence) {}

  static PersonView of(
      PersonRow row,
      List<LabelRow> labels,
      List<ValueRow> fields,
      List<StoryRow> story,
      @Nullable Long lastEdit) {
    return new PersonView(
        row.id(),
        row.version(),
        row.address(),
        row.firstName(),
        row.lastName(),
        row.phone(),
        row.zone(),
        row.mailing(),
        row.mailingSince(),
        row.mailingHow(),
        row.mailingWords(),
        row.texts(),
        row.textsSince(),
        row.textsHow(),
        row.source(),
        row.cameAt(),
        row.howOften(),
        labels.stream()
            .map(one -> new Label(one.kind(), one.name(), one.since(), one.how()))
            .toList(),
        fields.stream().map(one -> new Value(one.name(), one.shown())).toList(),
        story.stream().map(one -> new Happened(one.at(), one.document())).toList(),
        lastEdit);
  }
}
