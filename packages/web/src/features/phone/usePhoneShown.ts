import type { Station } from '@sardonyx/core';
import { useEffect } from 'react';
import { useGetPhoneDoorQuery, useShowToPhoneMutation } from '../../shared/api/api.ts';

/** Phones that are let in see what stands open here. The model that was open last stays it while other rooms are looked at. */
export function usePhoneShown(jobId: string, station: Station): void {
  const { data } = useGetPhoneDoorQuery();
  const [show] = useShowToPhoneMutation();
  const isOpen = typeof data?.pin === 'string';
  useEffect(() => {
    if (isOpen) void show({ jobId, station });
  }, [isOpen, jobId, station, show]);
}
