package org.opentrellis.app.live;

import org.opentrellis.app.people.TellTeam;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What forms tell the team lies with what journeys tell it. */
@Component
@Transactional
class NoticesByForms {
  private final NoticeMapper notices;

  NoticesByForms(NoticeMapper notices) {
    this.notices = notices;
  }

  @EventListener
  void follow(TellTeam asked) {
    notices.insertByForm(asked.person(), asked.by(), asked.to(), asked.words(), asked.at());
  }
}
