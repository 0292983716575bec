<?php

declare(strict_types=1);

namespace Cobblestone\Install;

use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Policy\BenchTexts;
use Cobblestone\Policy\Policy;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Quantity\DataRate;
use Cobblestone\Quantity\Duration;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Reason;

/**
 * How long the first updates take: their bytes × 8 over the bench's line, and the restarts (rule I5). Where nobody has
 * said how large they are, the catalogue's minutes stand.
 */
final readonly class UpdatePace
{
    public function __construct(public SystemProfile $system, private Policy $policy)
    {
    }

    public function estimate(): Estimate
    {
        $time = $this->time();

        return $time === null ? $this->system->updates->estimate() : Estimate::around($time);
    }

    public function because(): Reason
    {
        $bytes = $this->system->updates->bytes;
        if ($bytes === null) {
            return InstallPace::ofCatalogue(
                $this->system->updates->estimate(),
                'how much they load',
                $this->system->dated(),
            );
        }
        $restarts = $this->restarts() === 0 ? '' : ', and '.$this->restarts().' × '.$this->restart()->label()
            .' of restarts';

        return new Reason(
            'About '.Bytes::of($bytes)->decimal()." over the bench's line of {$this->line()} Mbit/s{$restarts}.",
            'I5',
            $this->system->dated(),
        );
    }

    private function time(): ?Duration
    {
        $bytes = $this->system->updates->bytes;

        return $bytes === null
            ? null
            : DataRate::megabytes($this->line() / 8)
                ->timeFor(Bytes::of($bytes))
                ->plus(Duration::seconds($this->restarts() * $this->restart()->seconds));
    }

    /** Megabits per second. */
    private function line(): int
    {
        return (int) $this->policy->text(BenchTexts::LINE);
    }

    private function restarts(): int
    {
        return $this->system->updates->restarts ?? 0;
    }

    private function restart(): Duration
    {
        return Duration::seconds((int) $this->policy->figure('restart_seconds'));
    }
}
