import '../services/reachesModels.ts';
