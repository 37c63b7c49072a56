package org.opentrellis.core.machine;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.opentrellis.core.journey.Channel;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.Variant;

/**
 * What a journey sends, by send number. What may go out is numbered through all sends: each message
 * or variant is a version. Immutable.
 */
final class SendTable {
  final List<Step.Send> sends;
  final boolean[] tracked;
  final boolean[] text;
  private final List<List<Message>> messages;
  private final int[] firstVersion;
  private final int[] numbers;
  private final Map<StepId, Integer> byStep = new HashMap<>();

  SendTable(Journey journey, Vocabulary vocabulary) {
    sends = journey.sends();
    messages =
        sends.stream()
            .map(send -> messageIds(send).stream().map(vocabulary::message).toList())
            .toList();
    sends.forEach(send -> byStep.put(send.id(), byStep.size()));
    firstVersion = new int[sends.size() + 1];
    for (int i = 0; i < sends.size(); i++) {
      firstVersion[i + 1] = firstVersion[i] + messages.get(i).size();
    }
    numbers =
        messages.stream()
            .flatMap(List::stream)
            .mapToInt(message -> vocabulary.names().messages.of(message.id()))
            .toArray();
    tracked = new boolean[sends.size()];
    text = new boolean[sends.size()];
    for (int i = 0; i < tracked.length; i++) {
      text[i] = sends.get(i).channel() == Channel.TEXT;
      tracked[i] = sends.get(i).tracksOpens();
    }
  }

  private static List<MessageId> messageIds(Step.Send send) {
    return send.versions().isEmpty()
        ? List.of(send.message())
        : send.versions().stream().map(Variant::message).toList();
  }

  int size() {
    return sends.size();
  }

  /** The messages of a send: one, or one for each variant. */
  List<Message> messages(int send) {
    return messages.get(send);
  }

  /** The number of a send's first version. */
  int firstVersion(int send) {
    return firstVersion[send];
  }

  int versions() {
    return numbers.length;
  }

  /** The number of a version's message among all messages. */
  int message(int version) {
    return numbers[version];
  }

  /** The send of a step, or -1 if that sends nothing. */
  int of(StepId step) {
    return byStep.getOrDefault(step, -1);
  }
}
