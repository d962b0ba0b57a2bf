import type { RequestHandler } from 'express';
import helmet from 'helmet';

const POLICY = {
  useDefaults: false,
  directives: {
    defaultSrc: ["'self'"],
    styleSrc: ["'self'", "'unsafe-inline'"],
    imgSrc: ["'self'", 'data:', 'blob:'],
    workerSrc: ["'self'"],
    connectSrc: ["'self'"],
    baseUri: ["'none'"],
    formAction: ["'self'"],
    frameAncestors: ["'none'"],
    objectSrc: ["'none'"],
  },
};

/** What a page of ours may load and who may frame it, said with every answer. */
export const protectPage = (): RequestHandler =>
  helmet({
    contentSecurityPolicy: POLICY,
    // Plain HTTP on this machine and in this house.
    strictTransportSecurity: false,
    crossOriginOpenerPolicy: false,
    originAgentCluster: false,
  });
