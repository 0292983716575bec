<?php

declare(strict_types=1);

namespace Cobblestone\Hardware;

/** Whether supply and leads carry a card (rule H5). */
final class CardSupply
{
    /** How much more the supply must give than card, processor and the rest draw (default). */
    private const SAFETY = 1.25;

    /** Watts each way of feeding a card carries; the 16-pin lead is rated by itself. */
    private const LEADS = ['slot' => 75, '6-pin' => 75, '8-pin' => 150];

    /** Watts the supply must have. */
    public static function required(float $card, float $processor, float $rest): int
    {
        return (int) ceil(($card + $processor + $rest) * self::SAFETY);
    }

    /**
     * @param  list<string>  $leads  6-pin, 8-pin, or 16-pin:WATTS
     */
    public static function leads(array $leads): int
    {
        $watts = self::LEADS['slot'];
        foreach ($leads as $lead) {
            $watts +=
                preg_match('/^16-pin:([0-9]{2,4})$/', $lead, $match) === 1
                    ? (int) $match[1]
                    : self::LEADS[$lead] ?? 0;
        }

        return $watts;
    }
}
