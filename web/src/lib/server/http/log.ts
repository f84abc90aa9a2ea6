import pino from 'pino';

export const log = pino({ level: process.env.PILGRIM_LOG ?? 'warn' });
