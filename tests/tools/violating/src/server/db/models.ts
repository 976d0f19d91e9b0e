export type Models = 'models';
