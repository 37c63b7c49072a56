package org.opentrellis.core.journey;

/** Something that users call by name. Names of different things never mix. */
public sealed interface Name
    permits AttributeName,
        CategoryName,
        EventName,
        FieldName,
        FileName,
        FormName,
        JourneyName,
        LinkName,
        ListName,
        MessageId,
        PartId,
        ProductName,
        SegmentName,
        StepId,
        StrandId,
        TagName {
  String value();
}
