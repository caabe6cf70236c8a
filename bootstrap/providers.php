<?php

return [
    App\Providers\WorkshopProvider::class,
];
