<?php

declare(strict_types=1);

namespace Cobblestone\Assessment;

use Cobblestone\Catalogue\Image;
use Cobblestone\Catalogue\ImageOrigin;
use Cobblestone\Catalogue\Signer;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\Door;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceKind;
use Cobblestone\Runbook\GatherItem;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\PutBack;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;

/** An image that is not the publisher's as it was published: what is known of it, who allows it, who signs it (A15). */
final readonly class OtherImage
{
    private function __construct(
        private Image $image,
        private ImageOrigin $origin,
        private string $signature,
    ) {
    }

    /**
     * @param  Signer|null  $signer  whose signature its loader carries, as the catalogue knows it
     * @param  bool  $trusted  whether the machine trusts that one as it stands
     * @param  string  $school  of what comes from elsewhere: off or recorded
     */
    public static function contribution(
        ?Image $image,
        ?Signer $signer,
        bool $trusted,
        string $school,
    ): Contribution {
        if ($image?->origin === null) {
            return new Contribution();
        }
        $of = new self($image, $image->origin, self::signature($image, $signer, $trusted));
        $blockers = $of->blockers($school);

        return $school === 'off' ? new Contribution(blockers: $blockers) : new Contribution(
            [$of->step()],
            [$of->decision()],
            gather: $of->origin->lacks === [] ? [] : [
                new GatherItem('second stick: '.implode(', ', $of->origin->lacks), 'the image lacks them'),
            ],
            blockers: $blockers,
        );
    }

    /**
     * The same path, its image checked only once somebody has signed for it.
     *
     * @param  list<Step>  $steps
     * @return list<Step>
     */
    public static function over(array $steps, ?Image $image, string $school): array
    {
        return $image?->origin === null || $school === 'off' ? $steps : array_map(
            static fn (Step $step): Step => in_array(PathFact::IMAGE_PROVEN, $step->after, true)
                ? $step->with(['before' => [...$step->before, PathFact::IMAGE_ACCEPTED]])
                : $step,
            $steps,
        );
    }

    private static function signature(Image $image, ?Signer $signer, bool $trusted): string
    {
        return match (true) {
            $image->loaderSigned() === null => 'Nobody has inspected its loader.',
            $image->loaderSigned() === false => 'Its loader is unsigned: it starts only with Secure Boot off, and so '
                .'it stays.',
            $signer === null => 'Its loader is signed by somebody the catalogue does not know.',
            $trusted => "Its loader is signed by {$signer->name}, which this "
                .'machine trusts. That says nothing of what stands behind it.',
            default => "Its loader is signed by {$signer->name}, which this machine does not trust as it comes.",
        };
    }

    /** @return list<Blocker> */
    private function blockers(string $school): array
    {
        $name = "{$this->image->name} is ".ImageOrigin::KINDS[$this->origin->kind];
        $missing = array_keys(array_filter([
            'its SHA-256' => $this->image->sha256 === null,
            'the reason' => $this->origin->reason === null,
        ]));

        return array_values(array_filter([
            $school !== 'off' ? null : Blocker::stop(
                'image-policy',
                "{$name}: the bench's policy does not allow it.",
                'A15',
                Door::choice(
                    'policy.extras',
                    'A lead may allow it for this job; or take the publisher\'s.',
                    'recorded',
                ),
                ['policy extras = off'],
            ),
            $school === 'off' || $this->image->loaderSigned() !== null ? null : Blocker::stop(
                'image-not-inspected',
                "{$name}, and nobody has looked into it.",
                'A15',
                Door::choice('image', 'Bring it to the shelf, where it is inspected, and choose it there.'),
            ),
            $school === 'off' || $missing === [] ? null : Blocker::stop(
                'image-record',
                "{$name}: ".implode(' and ', $missing).' '.(count($missing) === 1 ? 'is' : 'are').' wanted before it '
                    .'may be used.',
                'A15',
                Door::choice($this->image->sha256 === null ? 'image.sha256' : 'image.origin.reason', 'Say it.'),
            ),
        ]));
    }

    private function decision(): Decision
    {
        return new Decision(
            'image.origin',
            'Where the image comes from',
            "allowed, with a record: from {$this->origin->from}",
            [
                'It is '.ImageOrigin::KINDS[$this->origin->kind].'.',
                ...$this->origin->reason === null ? [] : ["Because: {$this->origin->reason}."],
            ],
            ['the publisher\'s own' => [$this->origin->reason ?? 'Nobody has said why not.']],
            [$this->image->dated(), 'policy extras = recorded'],
            'A15',
        );
    }

    private function step(): Step
    {
        return new Step(
            'image.origin',
            Stage::Image,
            'Sign for the image',
            Presence::Hands,
            Estimate::minutes(2, 4, 10),
            $this->words(),
            before: [PathFact::TAKEN_IN],
            after: [PathFact::IMAGE_ACCEPTED],
            needs: ['hands'],
            because: [new Reason('What the publisher did not publish so is a risk of the owner.', 'A15')],
            cautions: ['Nobody can say what a changed image does besides what it is said to do.'],
            evidence: [new Evidence('image_agreed_by', 'Who agreed to this image', EvidenceKind::Person)],
            opens: [
                new PutBack(
                    'other-image',
                    "Installed from {$this->image->name}, ".ImageOrigin::KINDS[$this->origin->kind],
                    "From {$this->origin->from}. ".($this->origin->updates === null
                        ? 'Nobody knows whether updates reach it.' : "Updates: {$this->origin->updates}."),
                    'put-back.sign',
                    stays: true,
                ),
            ],
        );
    }

    /** @return list<string> origin, signature, licence, updates, and what it lacks */
    private function words(): array
    {
        return [
            "Origin: {$this->origin->from}. It is ".ImageOrigin::KINDS[$this->origin->kind].'.',
            "Signature: {$this->signature}",
            'Licence: '.($this->origin->licence
                ?? 'nobody says under which it may be used; the owner shows theirs, or it is not used').'.',
            'Updates: '.($this->origin->updates ?? 'nobody knows whether they reach it; the owner is told so').'.',
            ...$this->origin->lacks === [] ? [] : [
                'It lacks '.implode(', ', $this->origin->lacks).': they go onto a second stick.',
            ],
        ];
    }
}
