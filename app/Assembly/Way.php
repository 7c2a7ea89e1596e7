<?php

declare(strict_types=1);

namespace App\Assembly;

use Uplandia\Core\Assembly\Mode;

/** How a paper or a rehearsal is sat. */
enum Way: string
{
    /** Under the rules of the exam. */
    case AsExam = 'exam';

    /** With its time, which a pause stops. */
    case Pausable = 'pausable';

    /** With all the time one likes. */
    case Untimed = 'untimed';

    /** The key and the reasons after each question. */
    case Tutor = 'tutor';

    public function mode(): Mode
    {
        return match ($this) {
            self::AsExam, self::Pausable => Mode::Timed,
            self::Untimed => Mode::Untimed,
            self::Tutor => Mode::Tutor,
        };
    }

    /** What a test that is sat so is called beside its name. */
    public function words(): string
    {
        return match ($this) {
            self::AsExam => 'as in the exam',
            self::Pausable => 'pausable',
            self::Untimed => 'without a clock',
            self::Tutor => 'with reasons',
        };
    }
}
