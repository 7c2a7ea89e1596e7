<?php

declare(strict_types=1);

namespace Uplandia\Core\Question;

/** What keeps several questions together. */
enum UnitKind: string
{
    /** A shared scenario with exhibits. */
    case Case = 'case';
    /** A text, with the sentences that prove each answer. */
    case Passage = 'passage';
    /** The same options, several statements, no going back. */
    case Series = 'series';
}
