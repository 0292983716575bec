<?php

declare(strict_types=1);

namespace Cobblestone\Handover;

use Cobblestone\Document\Fields;
use Cobblestone\Runbook\Progress;

/** What somebody left here, in which condition, and what went back: only what was written down (rule L6). */
final readonly class Receipt
{
    /** The stone at which a machine is taken in. */
    public const IN = 'intake.take-in';

    private const BACK = 'hand-over.give-back';

    /**
     * @param  list<string>  $came  accessories, one by one
     * @param  list<string>|null  $went  those that went back; null while the machine is here
     * @param  string  $missing  which did not, in words; empty where all of them did
     * @param  string  $accepted  why it was handed over all the same
     * @param  string  $copyUntil  day on which the copy of the files is deleted, as 2026-12-24; empty where there is
     *     none
     */
    private function __construct(
        public string $machine,
        public string $serial,
        public string $wish,
        public int $takenAt,
        public string $condition,
        public array $came,
        public ?int $backAt,
        public ?array $went,
        public string $missing,
        public string $accepted,
        public string $receivedBy,
        public string $copyUntil,
    ) {
    }

    /** Null before the machine is taken in: there is nothing to be received for. */
    public static function of(Progress $progress): ?self
    {
        $in = $progress->laidBy(self::IN);
        if ($in === null) {
            return null;
        }
        $job = $progress->plan->job;
        $serial = $progress->plan->fact('machine.serial')?->told('value') ?? '';
        $given = $progress->evidence();
        $back = $progress->laidBy(self::BACK);
        $left = $given[self::BACK] ?? [];
        $finding = Fields::of($back?->parts('findings')['accessories_back'] ?? []);
        $why = $back?->parts('overruled')['accessories_back'] ?? null;
        $differs = $finding->optionalString('verdict') === 'differs';

        return new self(
            $job->machine,
            is_scalar($serial) ? (string) $serial : '',
            $job->kind->title(),
            $in->at,
            trim((string) ($given[self::IN]['condition'] ?? '')),
            self::listed((string) ($given[self::IN]['accessories'] ?? '')),
            $back?->at,
            $back === null ? null : self::listed((string) ($left['accessories_back'] ?? '')),
            $differs ? (string) $finding->optionalString('words') : '',
            is_string($why) ? $why : '',
            trim((string) ($left['received_by'] ?? '')),
            (string) ($left['delete_by'] ?? ''),
        );
    }

    /** @return list<string> */
    private static function listed(string $said): array
    {
        $said = strtolower(trim($said)) === 'nothing' ? '' : $said;

        return array_values(array_filter(
            array_map(trim(...), explode(',', $said)),
            static fn (string $one): bool => $one !== '',
        ));
    }
}
