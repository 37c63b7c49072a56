package org.opentrellis.app.live;

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
import org.opentrellis.core.live.LiveTurn;
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

  void of(long person, LiveTurn.Done done, Editions editions) {
    for (Deed deed : done.deeds()) {
      switch (deed.kind()) {
        case SENT -> send(person, deed, (Step.Send) step(deed, editions), done);
        case LEFT ->
            outbox.callOff(
                person,
                LiveNames.number(deed.journey()),
                deed.visit(),
                deed.at(),
                LeaveReason.valueOf(deed.detail().orElseThrow()).byHand(),
                "They had left the journey before it went out.");
        case TEAM_TOLD -> tell(person, deed, (Step.Notify) step(deed, editions));
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

  private static Step step(Deed deed, Editions editions) {
    return PlannedStep.of(editions, deed.journey(), deed.version(), deed.step().orElseThrow());
  }

  private void send(long person, Deed deed, Step.Send send, LiveTurn.Done done) {
    MessageRef ref = new MessageRef(deed.journey(), deed.visit(), send.id());
    boolean refused =
        done.atOnce().stream()
            .anyMatch(one -> one instanceof Happening.Bounced && one.message().equals(ref));
    outbox.insert(
        new OutboxRow(
            0,
            person,
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
            false));
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
