<?php

declare(strict_types=1);

namespace Cobblestone\Hardware;

use Cobblestone\Machine\Kind;

/** What has to be minded with hands inside a machine of that kind (rule H1). */
final class OpenedCase
{
    /** @return list<string> */
    public static function cautions(Kind $kind): array
    {
        if ($kind->isPortable()) {
            return [
                'Fully off, charger out, and first of all inside the battery lead. Wait, and discharge yourself.',
                'A swollen cell: stop, do not charge, follow the local disposal rules.',
            ];
        }

        return [
            'Fully off, mains out. Wait, and discharge yourself.',
            'Mains parts inside power supplies are for qualified people.',
        ];
    }
}
