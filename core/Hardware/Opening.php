<?php

declare(strict_types=1);

namespace Cobblestone\Hardware;

use Cobblestone\Machine\Model\CardSlot;
use Cobblestone\Machine\Model\DriveBay;
use Cobblestone\Machine\Model\MachineModel;
use Cobblestone\Machine\Model\OpeningGuide;
use Cobblestone\Machine\Model\ScrewGroup;
use Cobblestone\Runbook\Reason;

/** What the catalogue says of opening this model, as lines and a table at its stone (rules H1, H2). */
final readonly class Opening
{
    private OpeningGuide $guide;

    public function __construct(private ?MachineModel $model)
    {
        $this->guide = $model->opening ?? new OpeningGuide();
    }

    /** @return list<string> what is let go in which order, and what tears; empty where nobody has described it */
    public function lines(): array
    {
        $guide = $this->guide;

        return [
            ...$guide->clips === [] ? [] : ['Clips, in this order: '.implode('; ', $guide->clips).'.'],
            ...$guide->battery === null ? [] : ["Battery lead off before anything else: {$guide->battery}."],
            ...array_map(static fn (string $cable): string => "Hidden: {$cable}.", $guide->hidden),
        ];
    }

    /** @return list<array<string, string>> the screws, by the letter they are kept under */
    public function rows(): array
    {
        return array_map(static fn (ScrewGroup $group): array => [
            'tray' => $group->letter,
            'screws' => "{$group->count} × {$group->head}, {$group->lengthMm} mm",
            'where' => $group->where,
        ], $this->guide->screws);
    }

    /** @return string  "6 × A, 2 × B" as it would be written down; empty where nobody has counted them */
    public function tally(): string
    {
        return implode(', ', array_map(
            static fn (ScrewGroup $group): string => "{$group->count} × {$group->letter}",
            $this->guide->screws,
        ));
    }

    public function bay(): ?DriveBay
    {
        return $this->guide->drive;
    }

    /** @return CardSlot|null what the place of a graphics card takes; null where nobody has described it */
    public function cardSlot(): ?CardSlot
    {
        return $this->guide->card;
    }

    /** "M.2, 22 × 80 mm, NVMe, key M, at most 2.4 mm high, right of the battery"; null where nobody has described it */
    public function baySaid(): ?string
    {
        $bay = $this->guide->drive;

        return $bay === null ? null : implode(', ', array_filter([
            DriveBay::FORMS[$bay->form],
            DriveBay::INTERFACES[$bay->interface],
            $bay->keying === null ? '' : "key {$bay->keying}",
            $bay->heightMm === null ? '' : "at most {$bay->heightMm} mm high",
            $bay->where ?? '',
        ]));
    }

    /** @return list<Reason> where it is known from */
    public function because(): array
    {
        return $this->model?->opening === null ? [] : [
            new Reason('How this model is opened stands in its entry.', 'H1', $this->model->dated()),
        ];
    }
}
