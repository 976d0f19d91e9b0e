// Only db knows Sequelize.
export type * from 'sequelize';
