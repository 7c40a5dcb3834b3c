import type { AllowedHost, RequestBody } from '@lettera/core/wire';
import { defineStore } from 'pinia';
import { ref, shallowRef } from 'vue';
import { api } from '../api/client';
import { useProject } from './project';

type Header = NonNullable<RequestBody<'PageAddress'>['headers']>[number];

/** What lets in on a host, as it is typed. */
export interface LetIn {
  name: string;
  password: string;
  cookie: string;
  /** A header and its value, as `X-Preview: abc`. */
  header: string;
}

export const NOTHING_GIVEN: LetIn = { name: '', password: '', cookie: '', header: '' };

/** The host of an address as it is typed, with its port. */
export const hostTyped = (address: string): string =>
  address
    .trim()
    .replace(/^[a-z][a-z\d+.-]*:\/\//i, '')
    .replace(/[/?#].*$/, '')
    .toLowerCase();

/** Text as base64 has it. RFC 7617 §2.1: UTF-8. */
const base64 = (text: string): string =>
  btoa(Array.from(new TextEncoder().encode(text), (byte) => String.fromCharCode(byte)).join(''));

/** What is sent along for that. RFC 7617 (Basic); RFC 6265. */
function headersOf({ name, password, cookie, header }: LetIn): Header[] {
  const [, own = '', value = ''] = /^\s*([^:\s]+)\s*:\s*(.+?)\s*$/.exec(header) ?? [];
  return [
    ...(name || password
      ? [{ name: 'Authorization', value: `Basic ${base64(`${name}:${password}`)}` }]
      : []),
    ...(cookie.trim() ? [{ name: 'Cookie', value: cookie.trim() }] : []),
    ...(own ? [{ name: own, value }] : []),
  ];
}

/**
 * What a site may be fetched with: inner hosts that were allowed for the project, and what lets in on a host. The
 * latter is held by this window alone, until it is closed.
 */
export const useSiteVisits = defineStore('site visits', () => {
  const project = useProject();
  const hosts = shallowRef<readonly AllowedHost[]>([]);
  const given = ref<Record<string, LetIn>>({});

  async function load(): Promise<void> {
    hosts.value = await api.allowedHosts(project.id);
  }
  async function allow(host: string, allowedBy: string): Promise<void> {
    hosts.value = await api.allowHost(project.id, host, allowedBy);
  }
  async function withdraw(host: string): Promise<void> {
    hosts.value = await api.withdrawHost(project.id, host);
  }
  const letInOn = (host: string): LetIn => given.value[host] ?? NOTHING_GIVEN;
  function give(host: string, what: LetIn): void {
    given.value = { ...given.value, [host]: what };
  }
  /** What is asked for an address, with what lets in there. */
  const requestOf = (address: string): RequestBody<'PageAddress'> => ({
    address,
    headers: headersOf(letInOn(hostTyped(address))),
  });

  return { hosts, load, allow, withdraw, letInOn, give, requestOf };
});
