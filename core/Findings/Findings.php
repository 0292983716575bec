<?php

declare(strict_types=1);

namespace Cobblestone\Findings;

use Cobblestone\Assessment\Backup\BackupFound;
use Cobblestone\Assessment\Dependence;
use Cobblestone\Assessment\Encryption\EncryptionFound;
use Cobblestone\Assessment\FitFound;
use Cobblestone\Assessment\Health\DriveHealth;
use Cobblestone\Assessment\KnownFound;
use Cobblestone\Assessment\Memory\MemoryFound;
use Cobblestone\Assessment\Route\GentlerFound;
use Cobblestone\Assessment\Route\RouteFound;
use Cobblestone\Assessment\SupportEnd;
use Cobblestone\Boot\KindFound;
use Cobblestone\Boot\StartFound;
use Cobblestone\Brief\UpdateBlock;
use Cobblestone\Document\Copy;
use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;
use Cobblestone\Drivers\PegFound;
use Cobblestone\Machine\Contradiction;
use Cobblestone\Runbook\Plan;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Wants;

/**
 * What was found while a path was computed, part by part, as its plan keeps it. A part that is not there was not asked,
 * or holds nothing.
 */
final readonly class Findings
{
    /**
     * @param  list<DriveHealth>  $health
     * @param  list<SupportEnd>  $support
     * @param  list<Dependence>  $depends
     * @param  list<PegFound>  $drivers  every device with its decision
     * @param  list<KnownFound>  $known  what does not work on this model with this system
     * @param  list<SocketStage>  $ports
     * @param  list<Contradiction>  $contradictions
     * @param  list<KindFound>  $kinds
     * @param  list<StartFound>  $rehearsal
     */
    public function __construct(
        public array $health = [],
        public ?EncryptionFound $encryption = null,
        public ?MemoryFound $memory = null,
        public ?BackupFound $backup = null,
        public ?FitFound $requirements = null,
        public ?RouteFound $route = null,
        public array $support = [],
        public array $depends = [],
        public UpdateBlock $update = new UpdateBlock(),
        public array $drivers = [],
        public ?AnswersFound $answers = null,
        public ?GentlerFound $gentler = null,
        public array $known = [],
        public array $ports = [],
        public array $contradictions = [],
        public array $kinds = [],
        public array $rehearsal = [],
    ) {
    }

    /**
     * The same with what only the whole path shows.
     *
     * @param  list<Contradiction>  $contradictions
     * @param  list<KindFound>  $kinds
     * @param  list<StartFound>  $rehearsal
     */
    public function rehearsed(array $contradictions, array $kinds, array $rehearsal): self
    {
        return Copy::of($this, get_object_vars($this), [
            'contradictions' => $contradictions,
            'kinds' => $kinds,
            'rehearsal' => $rehearsal,
        ]);
    }

    /** @throws FieldFault with the path of what does not fit */
    public static function of(Plan $plan): self
    {
        return self::read($plan->assessment);
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->each('health', DriveHealth::read(...)),
            $fields->optional('encryption', EncryptionFound::read(...)),
            $fields->optional('memory', MemoryFound::read(...)),
            $fields->optional('backup', BackupFound::read(...)),
            $fields->optional('requirements', FitFound::read(...)),
            $fields->optional('route', RouteFound::read(...)),
            $fields->each('support', SupportEnd::read(...)),
            $fields->each('depends', Dependence::read(...)),
            $fields->optional('update', UpdateBlock::read(...)) ?? new UpdateBlock(),
            $fields->each('drivers', PegFound::read(...)),
            $fields->optional('answers', AnswersFound::read(...)),
            $fields->optional('gentler', GentlerFound::read(...)),
            $fields->each('known', KnownFound::read(...)),
            $fields->each('ports', SocketStage::read(...)),
            $fields->each('contradictions', Contradiction::read(...)),
            $fields->each('kinds', KindFound::read(...)),
            $fields->each('rehearsal', StartFound::read(...)),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return Written::of($this);
    }

    /** The power-on of that stone with that number; null where the path has none. */
    public function start(string $step, int $number): ?StartFound
    {
        foreach ($this->rehearsal as $start) {
            if ($start->step === $step && $start->number === $number) {
                return $start;
            }
        }

        return null;
    }

    /**
     * Power-ons of a stone, those into the setup left out: they are told by their keys. Nothing else is read.
     *
     * @return list<StartFound>
     *
     * @throws FieldFault with the path of what does not fit
     */
    public static function startsOf(Plan $plan, Step $step): array
    {
        $mine = $plan->assessment->each(
            'rehearsal',
            static fn (Fields $start): ?StartFound => $start->string('step') === $step->id
                ? StartFound::read($start)
                : null,
        );

        return array_values(array_filter(
            $mine,
            static fn (?StartFound $start): bool => $start !== null && $start->wants !== Wants::Setup,
        ));
    }
}
