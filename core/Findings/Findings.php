<?php

declare(strict_types=1);

namespace Cobblestone\Findings;

use Cobblestone\Brief\UpdateBlock;
use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Runbook\Plan;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Wants;

/**
 * What was found while a path was computed, part by part, as its plan keeps it. A part that is not there was not asked.
 */
final readonly class Findings
{
    /**
     * @param  list<DriveFound>  $health
     * @param  list<SupportFound>  $support
     * @param  list<GapFound>  $depends
     * @param  list<SocketStage>  $ports
     * @param  list<ContradictionFound>  $contradictions
     * @param  list<KindFound>  $kinds
     * @param  list<StartFound>  $rehearsal
     * @param  list<KnownFound>  $known  what does not work on this model with this system
     * @param  list<PegFound>  $drivers  every device with its decision
     */
    private function __construct(
        public ?RouteFound $route,
        public ?FitFound $requirements,
        public array $health,
        public ?EncryptionFound $encryption,
        public ?BackupFound $backup,
        public ?MemoryFound $memory,
        public array $support,
        public array $depends,
        public array $ports,
        public array $contradictions,
        public array $kinds,
        public array $rehearsal,
        public UpdateBlock $update,
        public array $drivers = [],
        public ?AnswersFound $answers = null,
        public ?GentlerFound $gentler = null,
        public array $known = [],
    ) {
    }

    /** @throws FieldFault with the path of what does not fit */
    public static function of(Plan $plan): self
    {
        return self::read(Fields::of($plan->assessment, 'assessment'));
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->optional('route', RouteFound::read(...)),
            $fields->optional('requirements', FitFound::read(...)),
            $fields->each('health', DriveFound::read(...)),
            $fields->optional('encryption', EncryptionFound::read(...)),
            $fields->optional('backup', BackupFound::read(...)),
            $fields->optional('memory', MemoryFound::read(...)),
            $fields->each('support', SupportFound::read(...)),
            $fields->each('depends', GapFound::read(...)),
            $fields->each('ports', SocketStage::read(...)),
            $fields->each('contradictions', ContradictionFound::read(...)),
            $fields->each('kinds', KindFound::read(...)),
            $fields->each('rehearsal', StartFound::read(...)),
            $fields->optional('update', UpdateBlock::read(...)) ?? new UpdateBlock(),
            $fields->each('drivers', PegFound::read(...)),
            $fields->optional('answers', AnswersFound::read(...)),
            $fields->optional('gentler', GentlerFound::read(...)),
            $fields->each('known', KnownFound::read(...)),
        );
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
        $mine = Fields::of($plan->assessment, 'assessment')->each(
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
