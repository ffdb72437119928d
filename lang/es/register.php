<?php

return [
    'taken_back' => 'Has retirado tu inscripción.',
    'title' => 'Inscripción en :section',
    'heads' => [
        'accepted' => 'Tienes la inscripción hecha',
        'waiting' => 'Tu inscripción está pendiente',
        'queued' => 'Estás en la lista de espera',
        'declined' => 'Tu inscripción fue rechazada',
        'withdrawn' => 'Retirada',
        'may' => 'Inscríbete en esta clase',
        'own' => 'Tus inscripciones',
        'shut' => 'Inscripción',
    ],
    'own_link' => 'Con tu enlace no entra nadie más. Guárdalo, o entra desde tu página.',
    'door' => 'A la puerta',
    'waits' => 'Alguien la compara con la lista. Recibirás una carta cuando esté, y puedes mirar aquí cuando quieras.',
    'queued' => 'Todas las plazas están ocupadas. Eres el número :place de la lista de espera, y subes cuando se '.
        'libera una plaza.',
    'because' => 'Motivo: :reason',
    'withdraw' => 'Al final no voy',
    'take_back' => 'Retirar',
    'states' => [
        'accepted' => 'inscripción hecha',
        'waiting' => 'pendiente de decisión',
        'queued' => 'número :place de la lista de espera',
        'declined' => 'rechazada: :reason',
    ],
    'seats' => '{0}Todas las plazas están ocupadas; entrarías en la lista de espera.|{1}Queda 1 plaza.|[2,*]Quedan '.
        ':count plazas.',
    'name' => 'Tu nombre',
    'email' => 'Tu dirección de correo',
    'which' => 'En qué sesiones',
    'checked' => [
        'now' => 'Qué se comprueba: tu nombre y tu dirección se comparan con la lista de esta clase. Si coinciden, la '.
            'inscripción queda hecha al momento. Si no, alguien lo revisa antes. En los dos casos recibes una carta.',
        'soon' => 'Qué se comprueba: tu nombre y tu dirección se comparan con la lista de esta clase. Si '.
            'coinciden, la '.
            'inscripción queda hecha pronto. Si no, alguien lo revisa antes. En los dos casos recibes una carta.',
    ],
    'go' => 'Inscribirme',
    'follows' => 'Esta clase sigue su lista: quien está en ella tiene la inscripción hecha.',
    'none_left' => 'No queda ninguna sesión de esta clase.',
    'next' => 'Las próximas',
    'none' => 'no queda ninguna',
    'zone' => 'Con la hora de',
    'left' => 'Sesiones que quedan',
    'how' => 'Cómo',
];
