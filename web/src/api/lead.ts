import type { Schemas } from './types';

/** A session that an instructor leads a group through. */

export type LeadDay = Schemas['BookLeadDay'];
export type Member = LeadDay['drivers'][number];
export type Word = LeadDay['words'][number];
export type Cone = LeadDay['cones'][number];
export type ConePoint = Cone['point'];
export type Turn = Schemas['LeadTurnView'];
export type GroupRemark = Schemas['LeadRemarkView'];
export type RemarkState = GroupRemark['state'];
export type DriverFinding = Schemas['LeadFoundView'];
export type Lead = Schemas['LeadLeadView'];
