<?php

return [
    'taken_back' => 'Has retirado tu inscripción.',
    'title' => 'Inscripción en :section',
    'heads' => [
        'accepted' => 'Tienes la inscripción confirmada',
        'waiting' => 'Se está revisando tu inscripción',
        'queued' => 'Estás en la lista de espera',
        'declined' => 'Tu inscripción fue rechazada',
        'withdrawn' => 'Inscripción retirada',
        'may' => 'Inscríbete en esta clase',
        'own' => 'Tus inscripciones',
        'shut' => 'Inscripción',
    ],
    'own_link' => 'Este enlace solo sirve para ti. Guárdalo, o usa el de tu página.',
    'door' => 'Página de entrada',
    'waits' => 'El centro la está comparando con la lista de clase. Te enviaremos el resultado por correo. También '
        .'puedes mirarlo aquí.',
    'queued' => 'Todas las plazas están ocupadas. Eres el número :place de la lista de espera, y subes cuando se '.
        'libera una plaza.',
    'because' => 'Motivo: :reason',
    'withdraw' => 'Cancelar mi inscripción',
    'take_back' => 'Retirar',
    'states' => [
        'accepted' => 'inscripción confirmada',
        'waiting' => 'en revisión',
        'queued' => 'número :place de la lista de espera',
        'declined' => 'rechazada: :reason',
    ],
    'seats' => '{0}Todas las plazas están ocupadas. Entrarías en la lista de espera.|{1}Queda 1 plaza.|[2,*]Quedan '
        .':count plazas.',
    'name' => 'Tu nombre',
    'email' => 'Tu correo electrónico',
    'which' => 'Sesiones',
    'checked' => [
        'now' => 'Tu nombre y tu correo se comparan con la lista de clase. Si coinciden, la inscripción queda '
            .'confirmada al momento. Si no, el centro la revisa antes. En los dos casos recibes un correo.',
        'soon' => 'Tu nombre y tu correo se comparan con la lista de clase. Si coinciden, la inscripción queda '
            .'confirmada pronto. Si no, el centro la revisa antes. En los dos casos recibes un correo.',
    ],
    'go' => 'Inscribirme',
    'follows' => 'No tienes que inscribirte: quien está matriculado en esta clase ya tiene la inscripción.',
    'none_left' => 'No queda ninguna sesión de esta clase.',
    'next' => 'Próximas sesiones',
    'none' => 'no queda ninguna',
    'zone' => 'Zona horaria',
    'left' => 'Sesiones que quedan',
    'how' => 'Estado',
];
