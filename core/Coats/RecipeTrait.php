<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

/**
 * What rules go by: *wet* is water-borne · *solvent* attacks bare foam · *rewets* softens again when wetted · *messy* splashes ·
 * *seals* shuts in what is below · *pour* stands deep · *wash* runs thin · *sand* is sanded · *mask*, *unmask* · *alcohol* gives
 * flammable vapour · *loose* lies until it is glued · *keys* gives a hold · *cloth* comes in pieces that overlap · *card*, *stack*,
 * *castings*, *quick*, *sticks*, *joint*, *contact* name methods ·
 * *backdrop*, *trees*, *posts*, *wires* what stands · *rails* cleans them, *run* tries them · *sprayed* fibre is held by spray ·
 * *mist* of paint drifts · *ruled* has joints drawn along it.
 */
enum RecipeTrait: string
{
    case Wet = 'wet';

    case Solvent = 'solvent';

    case Rewets = 'rewets';

    case Messy = 'messy';

    case Seals = 'seals';

    case Pour = 'pour';

    case Wash = 'wash';

    case Sand = 'sand';

    case Mask = 'mask';

    case Unmask = 'unmask';

    case Alcohol = 'alcohol';

    case Loose = 'loose';

    case Keys = 'keys';

    case Card = 'card';

    case Cloth = 'cloth';

    case Stack = 'stack';

    case Castings = 'castings';

    case Quick = 'quick';

    case Sticks = 'sticks';

    case Joint = 'joint';

    case Contact = 'contact';

    case Backdrop = 'backdrop';

    case Trees = 'trees';

    case Wires = 'wires';

    case Rails = 'rails';

    case Run = 'run';

    case Posts = 'posts';

    case Sprayed = 'sprayed';

    case Mist = 'mist';

    case Ruled = 'ruled';
}
