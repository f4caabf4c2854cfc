-- What the fleet teaches is learned another way: anew from every visit when the server starts.
delete from fleet_knowledge;
