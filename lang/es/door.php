<?php

return [
    'hours_in' => ':hours, hora de :place',
    'looks_again' => 'Esta página se actualiza sola.',
    'recorded' => 'Esta sesión se está grabando. Si no quieres aparecer, deja el micrófono y la cámara apagados y '
        .'díselo a tu docente.',
    'pass' => [
        'ask' => 'Pedir entrar con este navegador',
        'asked' => 'Se ha preguntado a quien da la clase. Actualiza la página dentro de un minuto.',
        'kept' => 'Quien da la clase no ha cambiado el pase a este navegador.',
        'look' => 'Actualizar',
    ],
    'at' => 'a las :time',
    'at_both' => 'a las :time (:school en :place)',
    'day_at' => 'el :day a las :time',
    'day_at_both' => 'el :day a las :time (:school en :place)',
    'next' => 'La próxima sesión es :moment.',
    'none_left' => 'No hay más sesiones este trimestre.',
    'room_next' => 'Podrás volver a entrar la próxima vez que abra la sala.',
    'because' => 'Motivo: :reason. :next',
    'cancelled' => 'cancelada',
    'replies' => [
        'come-in' => [
            'is' => 'Puedes entrar',
            'looks' => 'Entras como observador u observadora. No diriges la sesión, y tu asistencia no se registra.',
            'room' => 'La sala está abierta.',
            'starts' => 'Empieza :moment.',
            'begun' => 'La sesión ya ha empezado.',
            'do' => 'Entrar',
        ],
        'wait-outside' => [
            'is' => 'Te dejará entrar quien da la clase',
            'then' => 'Pulsa el botón. Quien da la clase ve que esperas y te deja entrar.',
            'do' => 'Pedir entrar',
        ],
        'elsewhere' => [
            'is' => 'Ya estás dentro desde otro dispositivo',
            'then' => 'Si entras aquí, este dispositivo sustituye al otro.',
            'do' => 'Entrar desde este dispositivo',
        ],
        'too-early' => [
            'is' => 'Llegas pronto',
            'then' => 'La sesión se abre :opens.',
            'do' => 'Entrar a las :time',
            'do_on' => 'Entrar el :day a las :time',
        ],
        'no-host' => [
            'is' => 'Quien da la clase aún no está',
            'then' => 'Podrás entrar en cuanto haya un docente dentro. Actualiza la página dentro de un minuto.',
            'do' => 'Entrar cuando llegue quien da la clase',
        ],
        'full' => [
            'is' => 'La sala está llena',
            'then' => 'Todas las plazas están ocupadas. Avisa por el tablón de la clase, o entra por teléfono.',
            'do' => 'Llena',
        ],
        'sent-out' => [
            'is' => 'Te han retirado de la sesión',
            'then' => 'No puedes volver a entrar en esta sesión. Habla después con quien da la clase. :next',
        ],
        'pass-elsewhere' => [
            'is' => 'Este pase se usa en otro navegador',
            'then' => 'Un pase sirve para una persona en un navegador. Si has cambiado de dispositivo, pídelo aquí: '
                .'quien da la clase ve los dos y decide.',
        ],
        'over' => ['is' => 'Esta sesión ha terminado', 'then' => ':next'],
        'left' => [
            'is' => 'Ya no estás en esta clase',
            'then' => 'Gracias por participar. Si es un error, díselo a tu centro.',
        ],
        'ahead' => [
            'is' => 'Todavía no estás en esta clase',
            'then' => 'Empiezas en esta clase más adelante. El enlace funcionará desde ese día.',
        ],
        'moved' => ['is' => 'Cambia de día', 'then' => 'Se celebra :held.'],
        'cancelled' => ['is' => 'Hoy no hay clase', 'then' => ':because'],
        'replaced' => [
            'is' => 'Este enlace se ha cambiado por otro',
            'then' => 'Tu enlace nuevo está en tu página, en la página del curso y en tu calendario.',
        ],
        'shut' => [
            'is' => 'La sesión no está abierta',
            'then' => 'Se abre :opens.',
            'hidden' => 'Tu centro ha ocultado este enlace. La sesión aparecerá aquí cuando se abra.',
        ],
        'expired' => [
            'is' => 'Este pase ha caducado',
            'then' => 'Pide otro a quien te invitó.',
        ],
        'not-yours' => [
            'is' => 'Este enlace es de otra persona',
            'then' => 'Un enlace personal solo sirve para la persona inscrita. El tuyo está en tu página.',
        ],
        'not-on-roster' => [
            'is' => 'No estás en esta clase',
            'then' => 'Si deberías estar, tu centro puede matricularte.',
        ],
        'register-first' => [
            'is' => 'Todavía no tienes inscripción',
            'then' => 'Inscríbete primero en esta clase. Si no tiene página de inscripción, pregunta a quien da la '
                .'clase.',
        ],
        'waiting' => [
            'is' => 'Se está revisando tu inscripción',
            'then' => 'El centro está revisando tu inscripción. Vuelve más tarde.',
        ],
        'declined' => [
            'is' => 'No tienes inscripción en esta clase',
            'then' => 'Tu inscripción fue rechazada. Pregunta el motivo a quien da la clase.',
        ],
    ],
    'stops' => ['now' => 'ahora', 'open' => 'se abre', 'start' => 'empieza', 'end' => 'termina'],
    'look' => 'Actualizar',
    'to_registration' => 'Ir a la inscripción',
    'to_own' => 'Ir a mi página',
    'helps' => [
        'hours' => 'Horario de apertura',
        'phone' => 'Por teléfono',
        'pin' => 'PIN :pin',
        'code' => 'Código de acceso',
        'next' => 'Próximas sesiones',
        'trouble' => '¿No funciona?',
        'by_phone' => 'Entra por teléfono',
        'by_phone_or' => 'Entra por teléfono, o escribe a :teacher por el tablón de la clase',
        'by_stream' => 'Mira el tablón de la clase',
        'by_stream_or' => 'Mira el tablón de la clase, o escribe allí a :teacher',
    ],
    'by_code' => [
        'title' => 'Entrar con un código',
        'label' => 'Código de acceso (diez letras y cifras)',
        'go' => 'Entrar',
    ],
];
