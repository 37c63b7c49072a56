/** What the parts of a journey are called in lists and before fields. */

const KINDS: Record<string, string> = {
  TriggerJoinsList: 'joins list',
  TriggerGetsTag: 'gets tag',
  TriggerSubmitsForm: 'submits form',
  TriggerEntersSegment: 'enters segment',
  TriggerOpensMessage: 'opens message',
  TriggerClicksMessage: 'clicks in message',
  TriggerLeavesCart: 'leaves a cart',
  TriggerBuys: 'buys',
  TriggerDateComes: 'nears a date',
  TriggerOnDate: 'on a fixed date',
  TriggerEventArrives: 'has event',
  TriggerHandedOver: 'is handed over',
  TriggerPutIn: 'is put in by hand',
  ReEntryNever: 'once per person',
  ReEntryAfterHavingLeft: 'after having left',
  ReEntryAfterDays: 'after some days',
  ReEntryEveryTime: 'every time',
  ConditionDelivered: 'got',
  ConditionBounced: 'bounced',
  ConditionOpened: 'opened',
  ConditionClicked: 'clicked',
  ConditionOftenOpened: 'opened some of the last',
  ConditionOftenClicked: 'clicked some of the last',
  ConditionHasTag: 'have tag',
  ConditionHadTag: 'have ever had tag',
  ConditionOnList: 'are on list',
  ConditionInSegment: 'are in segment',
  ConditionField: 'have field',
  ConditionBought: 'bought',
  ConditionInCart: 'have in the cart',
  ConditionHappened: 'had event',
  ConditionCameByForm: 'came by form',
  ConditionCameByJourney: 'came from journey',
  ConditionCameByList: 'came by list',
  ConditionCameByOrder: 'came by an order of',
  ConditionIsNow: 'are now within',
  EmailRefOfStep: 'this email',
  EmailRefAnyOfJourney: 'any email of this journey',
  EmailRefOfLast: 'any of the last',
  OperandWords: 'text',
  OperandNumber: 'number',
  OperandDate: 'date',
  OperandToday: 'days from today',
  OperandOtherField: 'another field',
  WaitRuleFor: 'for an amount',
  WaitRuleUntil: 'until a time',
  WaitRuleUntilDate: 'until a date',
  WaitRuleUntilDay: 'until a day of the journey',
  WaitRuleAroundDate: 'around a date of theirs',
  WaitRuleUntilNthWeekday: 'until a weekday of the month',
  WaitRuleUntilHappens: 'until something happens',
  IfPastGoOn: 'go on',
  IfPastSkipTo: 'skip to',
  IfPastEnd: 'finish',
  RecordChangeAddTag: 'add tag',
  RecordChangeRemoveTag: 'remove tag',
  RecordChangeJoinList: 'add to list',
  RecordChangeLeaveList: 'take off list',
  RecordChangeMoveToList: 'move to list',
  RecordChangeCopyToList: 'copy to list',
  RecordChangeSetField: 'set field',
  RecordChangeClearField: 'clear field',
  RecordChangeAddToField: 'add to field',
  RecordChangeUnsubscribe: 'unsubscribe them',
  RecordChangeErase: 'erase them',
  NoticeTeammate: 'a teammate',
  NoticeWebAddress: 'a web address',
}

/** What stands before a field; nothing where the kind says it already. */
const FIELDS: Record<string, string> = {
  'TriggerLeavesCart.minutes': 'minutes since its last change',
  'TriggerDateComes.days': 'days after the date (− is before)',
  'TriggerDateComes.field': 'date in field',
  'TriggerClicksMessage.link': 'one link',
  'TriggerSubmitsForm.form': 'one form',
  'TriggerBuys.what': '',
  'ReEntryAfterDays.days': 'days since they last entered',
  'ConditionInCart.what': '',
  'ConditionCameByOrder.what': '',
  'ConditionHappened.where': 'with',
  'TriggerEventArrives.where': 'with',
  'ConditionHappened.atLeast': 'at least so many times',
  'ConditionHappened.within': 'in the last',
  'ConditionBought.within': 'in the last',
  'ConditionBought.what': '',
  'ConditionOpened.within': 'within',
  'ConditionOpened.peopleOnly': 'by people only',
  'ConditionClicked.within': 'within',
  'ConditionOftenOpened.atLeast': 'at least',
  'ConditionOftenOpened.last': 'of the last',
  'ConditionOftenOpened.peopleOnly': 'by people only',
  'ConditionOftenClicked.atLeast': 'at least',
  'ConditionOftenClicked.last': 'of the last',
  'ConditionIsNow.during': '',
  'WaitRuleUntilNthWeekday.nth': 'which (last: −1)',
  'WaitRuleUntilNthWeekday.weekday': 'weekday',
  'ConditionClicked.link': 'one link',
  'EmailRefOfLast.count': 'emails',
  'Purchases.product': 'one product',
  'Purchases.category': 'one category',
  'Purchases.atLeast': 'for at least',
  'WaitRuleFor.thenUntil': 'then until a time',
  'WaitRuleUntilDay.day': 'day',
  'WaitRuleUntilDay.at': 'at a time',
  'WaitRuleAroundDate.days': 'days after the date (− is before)',
  'WaitRuleAroundDate.field': 'date in field',
  'WaitRuleUntilHappens.condition': 'they',
  'WaitRuleUntilHappens.atMost': 'at most',
  'RecordChangeMoveToList.from': 'leaving',
  'RecordChangeSetField.value': 'to',
  'RecordChangeAddToField.number': 'plus',
  'FrequencyGuard.most': 'at most so many emails',
  'FrequencyGuard.days': 'in days',
  'FrequencyGuard.then': 'one too many',
  'FrequencyGuard.countsTexts': 'counts texts, too',
  'SendWindow.from': 'from',
  'SendWindow.to': 'to',
  'NoticeTeammate.to': 'name',
  'NoticeTeammate.text': 'saying',
  'OperandToday.plusDays': 'days',
  at: 'at',
  ifPast: 'if that is past',
  everyYear: 'every year',
  onFirstOfMarch: '29 February on 1 March',
  date: '',
}

/** Fields whose kind, or value, says enough by itself. */
const SILENT = ['tag', 'list', 'form', 'segment', 'event', 'journey', 'message', 'email', 'amount']
  .concat(['moment', 'field', 'step', 'text', 'number', 'product', 'category', 'link', 'is'])
  .concat(['values', 'url', 'attribute', 'strand', 'days', 'count'])

const CHOICES: Record<string, string> = {
  EQUALS: 'is',
  CONTAINS: 'contains',
  STARTS_WITH: 'starts with',
  IS_EMPTY: 'is empty',
  LESS: 'is less than',
  AT_MOST: 'is at most',
  MORE: 'is more than',
  AT_LEAST: 'is at least',
  BETWEEN: 'is between',
  HOLD: 'waits',
  SKIP: 'is skipped',
}

export function kindWords(part: string): string {
  return KINDS[part] ?? part
}

export function fieldWords(part: string | null, field: string): string {
  const own = FIELDS[`${part}.${field}`] ?? FIELDS[field]
  if (own !== undefined) return own
  return SILENT.includes(field) ? '' : plain(field)
}

/** What a control is called for those who do not see where it stands. */
export function spokenWords(part: string | null, field: string): string {
  return fieldWords(part, field) || plain(field)
}

export function choiceWords(value: string): string {
  return CHOICES[value] ?? value.toLowerCase().replaceAll('_', ' ')
}

function plain(name: string): string {
  const words = name.replace(/([A-Z])/g, (letter) => ` ${letter.toLowerCase()}`)
  return words.charAt(0).toUpperCase() + words.slice(1)
}
