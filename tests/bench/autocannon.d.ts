declare module 'autocannon' {
  export default function autocannon(options: {
    url: string;
    connections: number;
    duration: number;
    requests?: readonly { path: string }[];
  }): Promise<{ requests: { average: number }; non2xx: number }>;
}
