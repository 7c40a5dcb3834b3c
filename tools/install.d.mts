export declare function missingPackages(root?: string): string[];
