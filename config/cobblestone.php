<?php

return [
    // Folder of the demo world, or of the shop's own catalogue.
    'catalogue' => env('COBBLESTONE_CATALOGUE', base_path('catalogue')),

    // The watched folder of images, the stand-in sticks and publishers, folders of drivers, and the certificates that
    // the machines of the bench trust.
    'shelf' => env('COBBLESTONE_SHELF', base_path('var/shelf')),
    'sticks' => env('COBBLESTONE_STICKS', base_path('var/sticks')),
    'drivers' => env('COBBLESTONE_DRIVERS', base_path('var/drivers')),
    'packages' => env('COBBLESTONE_PACKAGES', base_path('var/packages')),
    'photos' => env('COBBLESTONE_PHOTOS', base_path('var/photos')),
    'publisher' => env('COBBLESTONE_PUBLISHER', base_path('var/publisher')),
    'signers' => env('COBBLESTONE_SIGNERS', base_path('var/signers')),

    // Names of makers and devices, in the form of pci.ids and usb.ids.
    'names' => [
        'pci' => env('COBBLESTONE_PCI_IDS', base_path('catalogue/names/pci.ids')),
        'usb' => env('COBBLESTONE_USB_IDS', base_path('catalogue/names/usb.ids')),
    ],

    // What processes say of themselves, and the supervisor of them.
    'state' => env('COBBLESTONE_STATE', base_path('var/state')),

    // Addresses of proxies in front, which are believed when they say whose request it is and that it came encrypted.
    'proxies' => env('COBBLESTONE_PROXIES', ''),

    // Where the catalogue is kept ready for every request; empty: it is read from its table each time.
    'compiled' => env('COBBLESTONE_COMPILED', storage_path('framework/cache')),
    // Where what the catalogue's folder says is kept for the next command; empty: it is read file by file each time.
    'kept' => env('COBBLESTONE_KEPT', storage_path('framework/cache')),

    // Bytes of this computer's drive that no upload may take.
    'keep_free' => 1_000_000_000,

    // Where the bench stands: times on screen are its local times.
    'timezone' => env('COBBLESTONE_TIMEZONE', 'Europe/Lisbon'),
];
