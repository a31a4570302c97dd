export declare const NOW: string;
