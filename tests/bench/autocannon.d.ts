declare module 'autocannon' {
  export default function autocannon(options: {
    url: string;
    connections: number;
    duration: number;
  }): Promise<{ requests: { average: number } }>;
}
