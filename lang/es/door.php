<?php

return [
    'hours_in' => ':hours, hora de :place',
    'looks_again' => 'Esta página vuelve a mirar por sí sola.',
    'recorded' => 'Esta sesión se está grabando. Si no quieres aparecer, deja el micrófono y la cámara apagados '.
        'y díselo a tu profesor o profesora.',
    'pass' => [
        'ask' => 'Pedir entrar desde aquí',
        'asked' => 'Se ha preguntado a quien da la clase. Vuelve a mirar dentro de un minuto.',
        'kept' => 'Se ha decidido que el pase se queda en el otro navegador.',
        'look' => 'Volver a mirar',
    ],
    'at' => 'a las :time',
    'at_both' => 'a las :time de tu hora, :school en :place',
    'day_at' => 'el :day a las :time',
    'day_at_both' => 'el :day a las :time de tu hora, :school en :place',
    'next' => 'La próxima es :moment.',
    'none_left' => 'No queda ninguna sesión en este trimestre.',
    'because' => 'Motivo: :reason. :next',
    'cancelled' => 'cancelada',
    'replies' => [
        'come-in' => [
            'is' => 'Entra',
            'looks' => 'Entras para observar: ni diriges la sesión ni cuentas en ella.',
            'room' => 'La sala está abierta.',
            'starts' => 'Empieza :moment.',
            'begun' => 'Ya ha empezado; entra ahora.',
            'do' => 'Entrar',
        ],
        'wait-outside' => [
            'is' => 'Primero esperas fuera',
            'then' => 'Pulsa el botón; quien da la clase ve que estás ahí y te deja entrar.',
            'do' => 'Esperar fuera',
        ],
        'elsewhere' => [
            'is' => 'Ya estás dentro desde otro dispositivo',
            'then' => 'Entra desde aquí, y este dispositivo sustituye al otro.',
            'do' => 'Entrar mejor desde aquí',
        ],
        'too-early' => [
            'is' => 'Llegas pronto',
            'then' => 'La puerta se abre :opens.',
            'do' => 'Entrar a las :time',
            'do_on' => 'Entrar el :day a las :time',
        ],
        'no-host' => [
            'is' => 'Quien da la clase aún no está',
            'then' => 'La puerta está abierta; entras en cuanto llegue quien da la clase. Vuelve a mirar dentro de un '.
                'minuto.',
            'do' => 'Entrar cuando llegue quien da la clase',
        ],
        'full' => [
            'is' => 'La sala está llena',
            'then' => 'Todas las plazas están ocupadas. Avisa por el tablón de la clase, o entra por teléfono.',
            'do' => 'Llena',
        ],
        'sent-out' => [
            'is' => 'Te han hecho salir',
            'then' => 'En esta sesión te quedas fuera. Habla después con quien da la clase. :next',
        ],
        'pass-elsewhere' => [
            'is' => 'Este pase se usa en otro navegador',
            'then' => 'Con un pase entra una sola persona. Si es tuyo y has cambiado de dispositivo, pídelo '.
                'aquí: quien '.
                'da la clase ve los dos y decide.',
        ],
        'over' => ['is' => 'Esta ya ha terminado', 'then' => ':next'],
        'left' => [
            'is' => 'Ya no estás en esta clase',
            'then' => 'Gracias por haber estado. Si es un error, díselo a tu centro.',
        ],
        'ahead' => [
            'is' => 'Todavía no estás en esta clase',
            'then' => 'Te incorporas más adelante; este enlace se abre a partir de entonces.',
        ],
        'moved' => ['is' => 'Pasa a otro día', 'then' => 'Se da :held.'],
        'cancelled' => ['is' => 'Hoy no hay clase', 'then' => ':because'],
        'replaced' => [
            'is' => 'Este enlace se ha cambiado por otro',
            'then' => 'Tu enlace nuevo está en tu página, en la del curso y en tu calendario.',
        ],
        'shut' => [
            'is' => 'La puerta está cerrada',
            'then' => 'Se abre :opens.',
            'hidden' => 'Tu centro ha ocultado esta puerta. La verás aquí cuando se abra.',
        ],
        'expired' => [
            'is' => 'Este pase ya no vale',
            'then' => 'Pide otro a quien te invitó.',
        ],
        'not-yours' => [
            'is' => 'Este enlace es de otra persona',
            'then' => 'Con un enlace personal entra una sola persona: la cuenta que se inscribió. El tuyo está en tu '.
                'página.',
        ],
        'not-on-roster' => [
            'is' => 'Esta clase no es tuya',
            'then' => 'Si debería serlo, tu centro puede matricularte.',
        ],
        'register-first' => [
            'is' => 'Todavía no tienes inscripción',
            'then' => 'Primero tienes que inscribirte en esta clase. Si tu clase admite inscripciones, hazlo en su '.
                'página de inscripción; si no, pregunta a quien da la clase.',
        ],
        'waiting' => [
            'is' => 'Tu inscripción está pendiente',
            'then' => 'Alguien la compara con la lista. Vuelve más tarde.',
        ],
        'declined' => [
            'is' => 'No tienes inscripción en esta clase',
            'then' => 'Tu inscripción fue rechazada. Pregunta el motivo a quien da la clase.',
        ],
    ],
    'stops' => ['now' => 'ahora', 'open' => 'se abre', 'start' => 'empieza', 'end' => 'termina'],
    'look' => 'Volver a mirar',
    'to_registration' => 'A la página de inscripción',
    'to_own' => 'A mi página',
    'helps' => [
        'hours' => 'Horario de apertura',
        'phone' => 'Por teléfono',
        'pin' => 'PIN :pin',
        'code' => 'Código de acceso',
        'next' => 'Las próximas',
        'trouble' => '¿No funciona?',
        'by_phone' => 'Entra por teléfono',
        'by_phone_or' => 'Entra por teléfono, o escribe a :teacher por el tablón de la clase',
        'by_stream' => 'Mira el tablón de la clase',
        'by_stream_or' => 'Mira el tablón de la clase, o escribe allí a :teacher',
    ],
    'by_code' => [
        'title' => 'Entrar con un código',
        'label' => 'El código de acceso: diez letras y cifras',
        'go' => 'A la puerta',
    ],
];
