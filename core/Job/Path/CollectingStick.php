<?php

declare(strict_types=1);

namespace Cobblestone\Job\Path;

use Cobblestone\Catalogue\Image;
use Cobblestone\Catalogue\Stick;
use Cobblestone\Firmware\WayIn;
use Cobblestone\Job\JobContext;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Port;
use Cobblestone\Media\StickChoice;
use Cobblestone\Media\StickNeed;
use Cobblestone\Media\SticksAtHand;
use Cobblestone\Media\WantedStick;
use Cobblestone\Media\WriteMode;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Confirmation;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\WorksOn;
use Cobblestone\Storage\Scheme;

/** A small stick that starts on the machine, reads what it is, and carries that home on its storage partition (A1). */
final readonly class CollectingStick
{
    /** Folder of drivers on the stick that the collector lies in. */
    public const FOLDER = 'DRIVERS';

    private function __construct(private JobContext $context, private Image $image, private StickChoice $choice)
    {
    }

    public static function contribution(JobContext $context): Contribution
    {
        if (! $context->brief->collect) {
            return new Contribution();
        }
        [$image, $against] = self::medium($context);
        if ($image === null) {
            return new Contribution(decisions: [new Decision(
                'collect.medium', 'Collecting stick', 'none',
                ['No medium that this bench knows starts on this machine and lets the collector run.'],
                $against, [], 'A1',
            )]);
        }
        $of = new self($context, $image, self::choose($context, $image));

        return new Contribution(
            [$of->make(), $of->run(), self::bring()],
            [new Decision(
                'collect.medium', 'Collecting stick', $image->name,
                ["It starts, and lets the collector run: {$image->collects}."],
                $against, [$image->dated()], 'A1',
            )],
        );
    }

    /** What it has to carry; null where the job asks for none, or no medium allows one. */
    public static function wanted(JobContext $context): ?WantedStick
    {
        $image = $context->brief->collect ? self::medium($context)[0] : null;

        return $image === null ? null : new WantedStick(
            $image->name, $image->file, WriteMode::FilesCopied, Scheme::Gpt,
            stick: self::choose($context, $image)->stick?->id,
            system: $context->catalogue->systems()[$image->system ?? '']->name ?? $image->system,
            version: $image->version, architecture: $image->architecture, sha256: $image->sha256, storage: true,
            origin: $image->origin?->kind,
        );
    }

    /** @return array{Image|null, array<string, list<string>>} the smallest that will do, and why not the others */
    private static function medium(JobContext $context): array
    {
        [$fit, $against] = [[], []];
        $processor = $context->machine->fact('architecture')->text();
        foreach ($context->catalogue->images() as $image) {
            if ($image->collects === null) {
                continue;
            }
            $why = array_filter([
                $image->isCounted() ? null : 'its files cannot be copied onto a partition',
                $image->architecture === null || $processor === '' || $image->architecture === $processor
                    ? null : "it is for {$image->architecture}",
                $image->atHand?->here === false ? 'it does not lie on the shelf' : null,
            ]);
            $why === [] ? $fit[] = $image : $against[$image->name] = array_values($why);
        }
        usort($fit, static fn (Image $a, Image $b): int => $a->counted()->bytes <=> $b->counted()->bytes);

        return [$fit[0] ?? null, $against];
    }

    private static function choose(JobContext $context, Image $image): StickChoice
    {
        $connectors = array_map(static fn (Port $port): string => $port->connector, $context->machine->ports);

        return StickChoice::decide('collect.stick', 'Which stick collects', new SticksAtHand(
            $context->catalogue->sticks($context->brief->sticks),
            $context->policy->school('stick'),
            array_values(array_unique($connectors)),
        ), StickNeed::of($image->counted(), Bytes::mebi(1), 1)->besideStorage());
    }

    private function make(): Step
    {
        $stick = $this->choice->stick;

        return new Step(
            'collect.stick',
            Stage::Identify,
            'Collecting stick',
            Presence::Hands,
            Estimate::minutes(5, 10, 30),
            [
                $stick === null
                    ? "Take {$this->choice->decision->chosen}. Nothing on it may be needed."
                    : "Take {$stick->name}".($stick->serial === null ? '.' : ", serial `{$stick->serial}`."),
                "Copy the files of {$this->image->file} and the collector onto its first partition; the second is "
                    .'storage, exFAT.',
                'Read it back and compare the checksums.',
            ],
            before: [PathFact::TAKEN_IN],
            after: [PathFact::COLLECTING_STICK],
            needs: ['hands', 'stick', 'bench computer'],
            acts: [Act::WriteStick],
            because: [$this->choice->decision->asReason()],
            cautions: ['Everything on the stick is lost.'],
            confirmation: self::confirmation($stick),
            worksOn: WorksOn::Stick,
        );
    }

    private static function confirmation(?Stick $stick): Confirmation
    {
        return new Confirmation(
            $stick->name ?? 'the stick you take',
            $stick?->size()->count ?? 0,
            $stick?->serial,
            $stick->contents ?? 'whatever is on it',
            'the bench',
            typed: false,
        );
    }

    private function run(): Step
    {
        $folder = self::FOLDER;

        return new Step(
            'collect.run',
            Stage::Identify,
            'Read the machine from the stick',
            Presence::Hands,
            Estimate::minutes(4, 8, 20),
            [
                ...$this->context->machine->kind === Kind::Handheld
                    ? ['Have a wired keyboard at it beside the stick: the console wants one.']
                    : [],
                ...WayIn::menu($this->context->machine)->instructions('the one-time menu'),
                "Start the stick. {$this->image->collects}.",
                'Mount both partitions of the stick, and nothing else; then run '
                    ."`sh INSTALLER/{$folder}/cobblestone-collect STORAGE` with their places for the two words.",
                'It only reads. It ends with the name of the bundle; then shut down, stick out.',
            ],
            before: [PathFact::COLLECTING_STICK],
            after: [PathFact::COLLECTED],
            needs: ['hands', 'stick', 'slot', 'power'],
            acts: [Act::StartMedium],
            because: [
                new Reason('Nothing on its drives changes: they are not mounted.', 'A1', $this->image->dated()),
            ],
        );
    }

    private static function bring(): Step
    {
        return new Step(
            'collect.bring',
            Stage::Identify,
            'Bring the bundle back',
            Presence::Hands,
            Estimate::minutes(1, 2, 6),
            [
                'Stick into the bench computer: `machine-….tar.gz` lies on its storage partition.',
                'Send it at *Intake*, readings. The path is computed again with what it says.',
            ],
            before: [PathFact::COLLECTED],
            after: [PathFact::BUNDLE_BROUGHT],
            needs: ['hands', 'stick', 'bench computer'],
            because: [new Reason('A reading outranks what is assumed of the model.', 'A1')],
        );
    }
}
