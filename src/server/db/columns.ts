// Sequelize writes into the objects that describe columns, so each column gets its own.
import { Model, DataTypes } from 'sequelize';

export const uuidKey = () => ({ type: DataTypes.UUID, primaryKey: true, allowNull: false }) as const;

export const text = () => ({ type: DataTypes.TEXT, allowNull: false }) as const;

export const uuid = () => ({ type: DataTypes.UUID, allowNull: false }) as const;

export const whole = () => ({ type: DataTypes.INTEGER, allowNull: false }) as const;

export const counted = () => ({ ...whole(), defaultValue: 1 }) as const;

export const flag = () => ({ type: DataTypes.BOOLEAN, allowNull: false }) as const;

export const json = () => ({ type: DataTypes.JSONB, allowNull: false }) as const;

export const day = () => ({ type: DataTypes.DATEONLY, allowNull: false }) as const;

export const bytes = () => ({ type: DataTypes.BLOB, allowNull: false }) as const;

export const moment = () => ({ type: DataTypes.DATE, allowNull: false }) as const;

export const maybe = (type: typeof DataTypes.TEXT | typeof DataTypes.DATE | typeof DataTypes.UUID) =>
  ({ type, allowNull: true }) as const;

/** Numeric columns come back from the driver as text. */
export const numeric = (name: string, allowNull = false) => ({
  type: DataTypes.DECIMAL,
  allowNull,
  get(this: Model): number | null {
    const value = this.getDataValue(name) as string | number | null;
    return value === null || value === undefined ? null : Number(value);
  },
});
