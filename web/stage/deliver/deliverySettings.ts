import type { ProjectDocument } from '@lettera/core/document';
import { useProject } from '../../store/project';

type Delivery = ProjectDocument['delivery'];

/** Sets one of the choices that shape what is delivered; tells whether it was taken. */
export function useDeliverySettings(): <K extends keyof Delivery>(
  member: K,
  value: Delivery[K] | null,
) => boolean {
  const project = useProject();
  return (member, value) => project.change([{ op: 'add', path: `/delivery/${member}`, value }]);
}
