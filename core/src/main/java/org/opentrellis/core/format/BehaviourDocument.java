package org.opentrellis.core.format;

import java.util.List;
import java.util.Map;
import org.opentrellis.core.behaviour.Assumed;

/** What is assumed of people, as JSON; see {@link org.opentrellis.core.behaviour.Behaviour}. */
public record BehaviourDocument(
    List<GroupDocument> groups,
    Assumed openMedianHours,
    Assumed openSigma,
    Assumed clickMedianMinutes,
    Assumed clickSigma,
    Assumed buyAfterClick,
    Assumed buyMeanHours,
    ReactionDocument usual,
    Map<String, ReactionDocument> emails) {

  /**
   * @param keenness mean chance of opening a usual email
   * @param spread how much people differ
   * @param zone an IANA zone
   */
  public record GroupDocument(
      String name,
      double share,
      double keenness,
      double spread,
      String zone,
      Assumed preloads,
      Assumed hardBounce,
      Assumed softBounce,
      Assumed buysAnyway,
      Assumed comesAgain,
      List<String> tags,
      List<String> lists) {}

  public record ReactionDocument(
      Assumed pull, Assumed clickGivenOpen, Assumed unsubscribeGivenOpen) {}
}
