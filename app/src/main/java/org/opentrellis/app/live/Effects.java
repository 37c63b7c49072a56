package org.opentrellis.app.live;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.happening.MessageRef;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Notice;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.Variant;
import org.opentrellis.core.live.Deed;
import org.opentrellis.core.live.Editions;
import org.opentrellis.core.machine.LeaveReason;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What a turn brings about outside of the person: messages to be sent, and notices. */
@Component
@Transactional
class Effects {
  private final OutboxMapper outbox;
  private final NoticeMapper notices;

  Effects(OutboxMapper outbox, NoticeMapper notices) {
    this.outbox = outbox;
    this.notices = notices;
  }

  /** Of turns that were taken, in their order. */
  void of(List<TurnTaken> all, Editions editions) {
    List<OutboxRow> sent = new ArrayList<>();
    List<OutboxMapper.Left> left = new ArrayList<>();
    for (TurnTaken taken : all) {
      for (Deed deed : taken.done().deeds()) {
        switch (deed.kind()) {
          case SENT -> sent.add(sent(taken, deed, (Step.Send) step(deed, editions)));
          case LEFT -> left.add(left(taken.person(), deed));
          case TEAM_TOLD -> tell(taken.person(), deed, (Step.Notify) step(deed, editions));
          case ENTERED,
              KEPT_OUT,
              TURNED_AWAY,
              LOT_DRAWN,
              WENT_WAY,
              HELD_BACK,
              SKIPPED,
              RECORD_CHANGED,
              HANDED_OVER,
              GOAL_MET,
              SECONDARY_GOAL_MET,
              FINISHED -> {}
        }
      }
    }
    outbox.insert(sent);
    outbox.callOff(left, "They had left the journey before it went out.");
  }

  private static OutboxMapper.Left left(long person, Deed deed) {
    return new OutboxMapper.Left(
        person,
        LiveNames.number(deed.journey()),
        deed.visit(),
        deed.at(),
        LeaveReason.valueOf(deed.detail().orElseThrow()).byHand());
  }

  private static Step step(Deed deed, Editions editions) {
    return PlannedStep.of(editions, deed.journey(), deed.version(), deed.step().orElseThrow());
  }

  private static OutboxRow sent(TurnTaken taken, Deed deed, Step.Send send) {
    MessageRef ref = new MessageRef(deed.journey(), deed.visit(), send.id());
    boolean refused =
        taken.done().atOnce().stream()
            .anyMatch(one -> one instanceof Happening.Bounced && one.message().equals(ref));
    return new OutboxRow(
        0,
        taken.person(),
        LiveNames.number(deed.journey()),
        deed.version(),
        deed.visit(),
        send.id().value(),
        deed.detail().orElse(null),
        message(send, deed.detail()).value(),
        send instanceof Step.SendText ? OutboxRow.Channel.TEXT : OutboxRow.Channel.EMAIL,
        deed.at(),
        refused ? OutboxRow.State.REFUSED : OutboxRow.State.WAITING,
        0,
        deed.at(),
        null,
        refused ? "The stand-in took it for nobody: no such mailbox." : null,
        false);
  }

  private static MessageId message(Step.Send send, Optional<String> variant) {
    return variant
        .map(StepId::new)
        .flatMap(id -> send.versions().stream().filter(one -> one.id().equals(id)).findFirst())
        .map(Variant::message)
        .orElseGet(send::message);
  }

  private void tell(long person, Deed deed, Step.Notify notify) {
    String channel = notify.notice() instanceof Notice.Teammate ? "TEAMMATE" : "WEB";
    String address =
        switch (notify.notice()) {
          case Notice.Teammate mate -> mate.to();
          case Notice.WebAddress web -> web.url();
        };
    String words = notify.notice() instanceof Notice.Teammate mate ? mate.text() : "";
    notices.insert(
        person,
        LiveNames.number(deed.journey()),
        notify.id().value(),
        channel,
        address,
        words,
        deed.at());
  }
}
