package org.opentrellis.app.http;

/** Where the API's description has the schemas of documents, for annotations that refer to them. */
public final class Schemas {
  /** The schemas' place in the description. */
  public static final String PLACE = "#/components/schemas/";

  public static final String JOURNEY = PLACE + "Journey";
  public static final String BEHAVIOUR = PLACE + "Behaviour";
  public static final String STRAND = PLACE + "Strand";
  public static final String CONDITION = PLACE + "Condition";
  public static final String SEGMENT = PLACE + "Segment";
  public static final String STEP = PLACE + "Step";
  public static final String MESSAGE_CONTENT = PLACE + "MessageContent";
  public static final String MANUSCRIPT = PLACE + "Manuscript";
  public static final String PART = PLACE + "Part";
  public static final String HOUSE_STYLE = PLACE + "HouseStyle";
  public static final String ENTRANCE = PLACE + "Entrance";
  public static final String NEWSLETTER = PLACE + "Newsletter";
  public static final String NEWS_SERIES = PLACE + "NewsSeries";
  public static final String CHOICES_PAGE = PLACE + "ChoicesPage";
  public static final String LEEWAY = PLACE + "Leeway";
  public static final String SEARCH_WISH = PLACE + "SearchWish";
  public static final String COHORT = PLACE + "CohortPlan";

  private Schemas() {}
}
