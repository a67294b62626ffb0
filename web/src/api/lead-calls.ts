import { answer, body, http, madeFrom } from './http';
import type { GroupRemark, Lead, LeadDay, RemarkState } from './lead';

const of = (id: string) => ({ path: { id } });

/** Calls about leading a group. */
export const leadCalls = {
  lead: (session: string) =>
    answer<Lead>(http.GET('/api/sessions/{id}/lead', { params: of(session) })),
  changeLead: (session: string, day: LeadDay, edition: number) =>
    answer<Lead>(
      http.PUT('/api/sessions/{id}/lead', {
        params: { ...of(session), header: madeFrom(edition) },
        body: body({ day }),
      }),
    ),
  sayToDriver: (
    session: string,
    said: { driver: string; corner: number; words: string; good: boolean; own: boolean },
  ) =>
    answer<GroupRemark>(
      http.POST('/api/sessions/{id}/lead/remarks', { params: of(session), body: body(said) }),
    ),
  seeRemark: (remark: GroupRemark, state: RemarkState) =>
    answer<GroupRemark>(
      http.PUT('/api/lead-remarks/{id}', {
        params: { ...of(remark.id), header: madeFrom(remark.edition) },
        body: body({ state }),
      }),
    ),
  takeBackRemark: (id: string) =>
    answer<void>(http.DELETE('/api/lead-remarks/{id}', { params: of(id) })),
};
