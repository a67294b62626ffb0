import { answer, http, madeFrom } from './http';
import type { GroupRemark, LeadDay, RemarkState } from './lead';

const of = (id: string) => ({ path: { id } });

/** Calls about leading a group. */
export const leadCalls = {
  lead: (session: string) => answer(http.GET('/api/sessions/{id}/lead', { params: of(session) })),
  changeLead: (session: string, day: LeadDay, edition: number) =>
    answer(
      http.PUT('/api/sessions/{id}/lead', {
        params: { ...of(session), header: madeFrom(edition) },
        body: { day },
      }),
    ),
  sayToDriver: (
    session: string,
    said: { driver: string; corner: number; words: string; good: boolean; own: boolean },
  ) => answer(http.POST('/api/sessions/{id}/lead/remarks', { params: of(session), body: said })),
  seeRemark: (remark: GroupRemark, state: RemarkState) =>
    answer(
      http.PUT('/api/lead-remarks/{id}', {
        params: { ...of(remark.id), header: madeFrom(remark.edition) },
        body: { state },
      }),
    ),
  takeBackRemark: (id: string) => answer(http.DELETE('/api/lead-remarks/{id}', { params: of(id) })),
};
